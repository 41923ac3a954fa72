import { DataTypes } from "sequelize";
import type { Migration } from "./migration";

/** An entry of a visit's record is known by its job and its id: a job that is imported twice has its record twice. */
export const entriesByJob: Migration = {
  name: "007-entries-by-job",
  async up({ tables, transaction }) {
    const run = (sql: string) => tables.sequelize.query(sql, { transaction });
    await run("DROP TRIGGER visit_entries_no_update");
    await run("DROP TRIGGER visit_entries_no_delete");
    await tables.renameTable("visit_entries", "visit_entries_before", { transaction });
    await tables.createTable(
      "visit_entries",
      {
        job_id: { type: DataTypes.UUID, primaryKey: true, references: { model: "jobs", key: "id" } },
        id: { type: DataTypes.UUID, primaryKey: true },
        at: { type: DataTypes.TEXT, allowNull: false },
        entry: { type: DataTypes.TEXT, allowNull: false },
        version: { type: DataTypes.INTEGER, allowNull: false },
      },
      { transaction },
    );
    await run("INSERT INTO visit_entries (job_id, id, at, entry, version) SELECT job_id, id, at, entry, version FROM visit_entries_before");
    await tables.dropTable("visit_entries_before", { transaction });
    await tables.addIndex("visit_entries", ["job_id", "at"], { transaction });
    await run(
      "CREATE TRIGGER visit_entries_no_update BEFORE UPDATE ON visit_entries BEGIN SELECT RAISE(ABORT, 'visit_entries is append-only'); END",
    );
    await run(
      "CREATE TRIGGER visit_entries_no_delete BEFORE DELETE ON visit_entries WHEN NOT (SELECT is_erased FROM jobs WHERE id = old.job_id) BEGIN SELECT RAISE(ABORT, 'visit_entries is append-only'); END",
    );
  },
};
