import { DataTypes, type QueryInterface } from "sequelize";

export const createShelfDevices = {
  name: "002-create-shelf-devices",
  async up({ context }: { context: QueryInterface }): Promise<void> {
    await context.createTable("shelf_devices", {
      id: { type: DataTypes.UUID, primaryKey: true },
      name: { type: DataTypes.TEXT, allowNull: false },
      device: { type: DataTypes.TEXT, allowNull: false },
      created_at: { type: DataTypes.TEXT, allowNull: false },
    });
    await context.addIndex("shelf_devices", ["name"]);
  },
};
