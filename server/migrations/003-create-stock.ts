import { DataTypes } from "sequelize";
import type { Migration } from "./migration";

const text = { type: DataTypes.TEXT, allowNull: false };

/** Van stock, preferences, photos, and what the docket keeps of each job. */
export const createStock: Migration = {
  name: "003-create-stock",
  async up({ tables, transaction }) {
    const within = { transaction };
    await tables.createTable(
      "stock_items",
      {
        id: { type: DataTypes.UUID, primaryKey: true },
        fields: text,
        created_at: text,
      },
      within,
    );
    await tables.createTable("preferences", { key: { type: DataTypes.TEXT, primaryKey: true }, value: text }, within);
    await tables.createTable(
      "attachments",
      {
        id: { type: DataTypes.UUID, primaryKey: true },
        job_id: { type: DataTypes.UUID, allowNull: false, references: { model: "jobs", key: "id" } },
        type: text,
        bytes: { type: DataTypes.INTEGER, allowNull: false },
        created_at: text,
      },
      within,
    );
    await tables.addIndex("attachments", ["job_id"], within);
    for (const column of ["summary", "needs"]) await tables.addColumn("jobs", column, { type: DataTypes.TEXT, allowNull: true }, within);
    await tables.addColumn("jobs", "summary_version", { type: DataTypes.INTEGER, allowNull: true }, within);
    // The docket's order, without the documents: thousands of jobs are listed from the index.
    await tables.addIndex("jobs", ["binned_at", "phase", "visit_on"], within);
  },
};
