import { DataTypes, type CreationOptional, type InferAttributes, type InferCreationAttributes, Model, type Sequelize } from "sequelize";

/** A job as stored: searchable columns beside the document's text. */
export class JobRow extends Model<InferAttributes<JobRow>, InferCreationAttributes<JobRow>> {
  declare id: string;
  declare name: string;
  declare customer: string;
  declare visitOn: string | null;
  declare phase: string;
  declare searchText: string;
  declare revision: number;
  declare document: string;
  declare createdAt: string;
  declare updatedAt: string;
  declare binnedAt: string | null;
}

/** One save of a job: what was done, at which revision. */
export class JobEventRow extends Model<InferAttributes<JobEventRow>, InferCreationAttributes<JobEventRow>> {
  declare id: CreationOptional<number>;
  declare jobId: string;
  declare revision: number;
  declare saveId: string;
  declare at: string;
  declare event: string;
}

/** A device of one's own on the shelf. */
export class ShelfDeviceRow extends Model<InferAttributes<ShelfDeviceRow>, InferCreationAttributes<ShelfDeviceRow>> {
  declare id: string;
  declare name: string;
  declare device: string;
  declare createdAt: string;
}

export interface Models {
  readonly jobs: typeof JobRow;
  readonly jobEvents: typeof JobEventRow;
  readonly shelfDevices: typeof ShelfDeviceRow;
}

// A fresh object for each column: Sequelize writes the column's own name into it.
const text = () => ({ type: DataTypes.TEXT, allowNull: false });
const textOrNull = () => ({ type: DataTypes.TEXT, allowNull: true });

/** Binds the models to one connection; the tables themselves come from the migrations. */
export function defineModels(sequelize: Sequelize): Models {
  const options = { sequelize, timestamps: false, underscored: true } as const;
  class Jobs extends JobRow {}
  Jobs.init(
    {
      id: { type: DataTypes.UUID, primaryKey: true },
      name: text(),
      customer: text(),
      visitOn: textOrNull(),
      phase: text(),
      searchText: text(),
      revision: { type: DataTypes.INTEGER, allowNull: false },
      document: text(),
      createdAt: text(),
      updatedAt: text(),
      binnedAt: textOrNull(),
    },
    { ...options, tableName: "jobs", modelName: "job" },
  );
  class JobEvents extends JobEventRow {}
  JobEvents.init(
    {
      id: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
      jobId: { type: DataTypes.UUID, allowNull: false },
      revision: { type: DataTypes.INTEGER, allowNull: false },
      saveId: { type: DataTypes.UUID, allowNull: false },
      at: text(),
      event: text(),
    },
    { ...options, tableName: "job_events", modelName: "jobEvent" },
  );
  class ShelfDevices extends ShelfDeviceRow {}
  ShelfDevices.init(
    { id: { type: DataTypes.UUID, primaryKey: true }, name: text(), device: text(), createdAt: text() },
    { ...options, tableName: "shelf_devices", modelName: "shelfDevice" },
  );
  return { jobs: Jobs, jobEvents: JobEvents, shelfDevices: ShelfDevices };
}
