import { DataTypes } from "sequelize";
import type { Migration } from "./migration";

/** The record of visits: what became of each step, one row for each entry, never changed. */
export const visitEntries: Migration = {
  name: "006-visit-entries",
  async up({ tables, transaction }) {
    await tables.createTable(
      "visit_entries",
      {
        id: { type: DataTypes.UUID, primaryKey: true },
        job_id: { type: DataTypes.UUID, allowNull: false, references: { model: "jobs", key: "id" } },
        at: { type: DataTypes.TEXT, allowNull: false },
        entry: { type: DataTypes.TEXT, allowNull: false },
        version: { type: DataTypes.INTEGER, allowNull: false },
      },
      { transaction },
    );
    await tables.addIndex("visit_entries", ["job_id", "at"], { transaction });
    const run = (sql: string) => tables.sequelize.query(sql, { transaction });
    await run(
      "CREATE TRIGGER visit_entries_no_update BEFORE UPDATE ON visit_entries BEGIN SELECT RAISE(ABORT, 'visit_entries is append-only'); END",
    );
    await run(
      "CREATE TRIGGER visit_entries_no_delete BEFORE DELETE ON visit_entries WHEN NOT (SELECT is_erased FROM jobs WHERE id = old.job_id) BEGIN SELECT RAISE(ABORT, 'visit_entries is append-only'); END",
    );
  },
};
