import { DataTypes } from "sequelize";
import type { Migration } from "./migration";

export const createJobs: Migration = {
  name: "001-create-jobs",
  async up({ tables, transaction }) {
    await tables.createTable(
      "jobs",
      {
        id: { type: DataTypes.UUID, primaryKey: true },
        name: { type: DataTypes.TEXT, allowNull: false },
        customer: { type: DataTypes.TEXT, allowNull: false },
        visit_on: { type: DataTypes.TEXT, allowNull: true },
        phase: { type: DataTypes.TEXT, allowNull: false },
        search_text: { type: DataTypes.TEXT, allowNull: false },
        revision: { type: DataTypes.INTEGER, allowNull: false },
        document: { type: DataTypes.TEXT, allowNull: false },
        created_at: { type: DataTypes.TEXT, allowNull: false },
        updated_at: { type: DataTypes.TEXT, allowNull: false },
        binned_at: { type: DataTypes.TEXT, allowNull: true },
      },
      { transaction },
    );
    await tables.addIndex("jobs", ["binned_at", "visit_on"], { transaction });
    await tables.createTable(
      "job_events",
      {
        id: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
        job_id: {
          type: DataTypes.UUID,
          allowNull: false,
          references: { model: "jobs", key: "id" },
        },
        revision: { type: DataTypes.INTEGER, allowNull: false },
        save_id: { type: DataTypes.UUID, allowNull: false, unique: true },
        at: { type: DataTypes.TEXT, allowNull: false },
        event: { type: DataTypes.TEXT, allowNull: false },
      },
      { transaction },
    );
    await tables.addIndex("job_events", ["job_id", "revision"], { unique: true, transaction });
    // Append-only is the table's own rule, not a habit of the code above it.
    for (const action of ["UPDATE", "DELETE"]) {
      await tables.sequelize.query(
        `CREATE TRIGGER job_events_no_${action.toLowerCase()} BEFORE ${action} ON job_events BEGIN SELECT RAISE(ABORT, 'job_events is append-only'); END`,
        { transaction },
      );
    }
  },
};
