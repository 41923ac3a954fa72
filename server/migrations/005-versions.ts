import { DataTypes } from "sequelize";
import type { Migration } from "./migration";

/** A version beside everything that is kept and does not carry one itself. What is there was all written as version 1. */
export const versions: Migration = {
  name: "005-versions",
  async up({ tables, transaction }) {
    for (const table of ["job_events", "shelf_devices", "stock_items", "preferences"])
      await tables.addColumn(table, "version", { type: DataTypes.INTEGER, allowNull: false, defaultValue: 1 }, { transaction });
  },
};
