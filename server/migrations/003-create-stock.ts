import { DataTypes, type QueryInterface } from "sequelize";

const text = { type: DataTypes.TEXT, allowNull: false };

/** Van stock, preferences, photos, and what the docket keeps of each job. */
export const createStock = {
  name: "003-create-stock",
  async up({ context }: { context: QueryInterface }): Promise<void> {
    await context.createTable("stock_items", {
      id: { type: DataTypes.UUID, primaryKey: true },
      fields: text,
      created_at: text,
    });
    await context.createTable("preferences", { key: { type: DataTypes.TEXT, primaryKey: true }, value: text });
    await context.createTable("attachments", {
      id: { type: DataTypes.UUID, primaryKey: true },
      job_id: { type: DataTypes.UUID, allowNull: false, references: { model: "jobs", key: "id" } },
      type: text,
      bytes: { type: DataTypes.INTEGER, allowNull: false },
      created_at: text,
    });
    await context.addIndex("attachments", ["job_id"]);
    for (const column of ["summary", "needs"]) await context.addColumn("jobs", column, { type: DataTypes.TEXT, allowNull: true });
    await context.addColumn("jobs", "summary_version", { type: DataTypes.INTEGER, allowNull: true });
    // The docket's order, without the documents: thousands of jobs are listed from the index.
    await context.addIndex("jobs", ["binned_at", "phase", "visit_on"]);
  },
};
