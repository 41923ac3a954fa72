import { DataTypes, type CreationOptional, type InferAttributes, type InferCreationAttributes, Model, type Sequelize } from "sequelize";

/** A job as the docket lists it. */
export class JobRow extends Model<InferAttributes<JobRow>, InferCreationAttributes<JobRow>> {
  declare id: string;
  declare name: string;
  declare customer: string;
  declare visitOn: string | null;
  declare phase: string;
  declare revision: number;
  declare createdAt: string;
  declare updatedAt: string;
  declare binnedAt: string | null;
  /** What the docket shows of it, made by `summaryVersion` of the program; null: to be made. */
  declare summary: string | null;
  declare summaryVersion: number | null;
  /** The parts it takes from the van. */
  declare needs: string | null;
  /** It is about to go for good, and its log may go with it. */
  declare isErased: CreationOptional<boolean>;
}

/** The text of a job's document. */
export class JobDocumentRow extends Model<InferAttributes<JobDocumentRow>, InferCreationAttributes<JobDocumentRow>> {
  declare jobId: string;
  declare document: string;
}

/** What a person typed in a job, as it is searched. */
export class JobWordsRow extends Model<InferAttributes<JobWordsRow>, InferCreationAttributes<JobWordsRow>> {
  declare row: CreationOptional<number>;
  declare jobId: string;
  declare words: string;
}

/** One save of a job: what was done, at which revision. */
export class JobEventRow extends Model<InferAttributes<JobEventRow>, InferCreationAttributes<JobEventRow>> {
  declare id: CreationOptional<number>;
  declare jobId: string;
  declare revision: number;
  declare saveId: string;
  declare at: string;
  declare event: string;
  declare version: number;
}

/** A device of one's own on the shelf. */
export class ShelfDeviceRow extends Model<InferAttributes<ShelfDeviceRow>, InferCreationAttributes<ShelfDeviceRow>> {
  declare id: string;
  declare name: string;
  declare device: string;
  declare version: number;
  declare createdAt: string;
}

/** A line of the van's list. */
export class StockItemRow extends Model<InferAttributes<StockItemRow>, InferCreationAttributes<StockItemRow>> {
  declare id: string;
  declare fields: string;
  declare version: number;
  declare createdAt: string;
}

/** One of the firm's settings. */
export class PreferenceRow extends Model<InferAttributes<PreferenceRow>, InferCreationAttributes<PreferenceRow>> {
  declare key: string;
  declare value: string;
  declare version: number;
}

/** A photo whose bytes lie in the data folder. */
export class AttachmentRow extends Model<InferAttributes<AttachmentRow>, InferCreationAttributes<AttachmentRow>> {
  declare id: string;
  declare jobId: string;
  declare type: string;
  declare bytes: number;
  declare createdAt: string;
}

/** One entry of the record of a job's visits. */
export class VisitEntryRow extends Model<InferAttributes<VisitEntryRow>, InferCreationAttributes<VisitEntryRow>> {
  declare id: string;
  declare jobId: string;
  declare at: string;
  declare entry: string;
  declare version: number;
}

export interface Models {
  readonly visitEntries: typeof VisitEntryRow;
  readonly jobs: typeof JobRow;
  readonly jobDocuments: typeof JobDocumentRow;
  readonly jobWords: typeof JobWordsRow;
  readonly jobEvents: typeof JobEventRow;
  readonly shelfDevices: typeof ShelfDeviceRow;
  readonly stockItems: typeof StockItemRow;
  readonly preferences: typeof PreferenceRow;
  readonly attachments: typeof AttachmentRow;
}

// A fresh object for each column: Sequelize writes the column's own name into it.
const text = () => ({ type: DataTypes.TEXT, allowNull: false });
/** Of the program that wrote the text beside it. */
const version = () => ({ type: DataTypes.INTEGER, allowNull: false });
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
      revision: { type: DataTypes.INTEGER, allowNull: false },
      createdAt: text(),
      updatedAt: text(),
      binnedAt: textOrNull(),
      summary: textOrNull(),
      summaryVersion: { type: DataTypes.INTEGER, allowNull: true },
      needs: textOrNull(),
      isErased: { type: DataTypes.BOOLEAN, allowNull: false, defaultValue: false },
    },
    { ...options, tableName: "jobs", modelName: "job" },
  );
  class JobDocuments extends JobDocumentRow {}
  JobDocuments.init(
    { jobId: { type: DataTypes.UUID, primaryKey: true }, document: text() },
    { ...options, tableName: "job_documents", modelName: "jobDocument" },
  );
  class JobWords extends JobWordsRow {}
  JobWords.init(
    {
      row: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
      jobId: { type: DataTypes.UUID, allowNull: false },
      words: text(),
    },
    { ...options, tableName: "job_words", modelName: "jobWords" },
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
      version: version(),
    },
    { ...options, tableName: "job_events", modelName: "jobEvent" },
  );
  class ShelfDevices extends ShelfDeviceRow {}
  ShelfDevices.init(
    { id: { type: DataTypes.UUID, primaryKey: true }, name: text(), device: text(), version: version(), createdAt: text() },
    { ...options, tableName: "shelf_devices", modelName: "shelfDevice" },
  );
  class StockItems extends StockItemRow {}
  StockItems.init(
    { id: { type: DataTypes.UUID, primaryKey: true }, fields: text(), version: version(), createdAt: text() },
    { ...options, tableName: "stock_items", modelName: "stockItem" },
  );
  class Preferences extends PreferenceRow {}
  Preferences.init(
    { key: { type: DataTypes.TEXT, primaryKey: true }, value: text(), version: version() },
    { ...options, tableName: "preferences", modelName: "preference" },
  );
  class Attachments extends AttachmentRow {}
  Attachments.init(
    {
      id: { type: DataTypes.UUID, primaryKey: true },
      jobId: { type: DataTypes.UUID, allowNull: false },
      type: text(),
      bytes: { type: DataTypes.INTEGER, allowNull: false },
      createdAt: text(),
    },
    { ...options, tableName: "attachments", modelName: "attachment" },
  );
  class VisitEntries extends VisitEntryRow {}
  VisitEntries.init(
    {
      jobId: { type: DataTypes.UUID, primaryKey: true },
      id: { type: DataTypes.UUID, primaryKey: true },
      at: text(),
      entry: text(),
      version: version(),
    },
    { ...options, tableName: "visit_entries", modelName: "visitEntry" },
  );
  return {
    visitEntries: VisitEntries,
    stockItems: StockItems,
    preferences: Preferences,
    attachments: Attachments,
    jobs: Jobs,
    jobDocuments: JobDocuments,
    jobWords: JobWords,
    jobEvents: JobEvents,
    shelfDevices: ShelfDevices,
  };
}
