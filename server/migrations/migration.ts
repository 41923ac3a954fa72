import type { QueryInterface, Transaction } from "sequelize";

/** A step from one form of the tables to the next, made and noted in one transaction: all of it is done or none. */
export interface Migration {
  readonly name: string;
  up(step: { readonly tables: QueryInterface; readonly transaction: Transaction }): Promise<void>;
}
