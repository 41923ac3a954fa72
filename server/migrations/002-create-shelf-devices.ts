import { DataTypes } from "sequelize";
import type { Migration } from "./migration";

export const createShelfDevices: Migration = {
  name: "002-create-shelf-devices",
  async up({ tables, transaction }) {
    await tables.createTable(
      "shelf_devices",
      {
        id: { type: DataTypes.UUID, primaryKey: true },
        name: { type: DataTypes.TEXT, allowNull: false },
        device: { type: DataTypes.TEXT, allowNull: false },
        created_at: { type: DataTypes.TEXT, allowNull: false },
      },
      { transaction },
    );
    await tables.addIndex("shelf_devices", ["name"], { transaction });
  },
};
