import { DataTypes, QueryTypes } from "sequelize";
import { folded } from "@/core/search";
import type { Migration } from "./migration";

/**
 * Documents in a table of their own, so that a list of jobs reads none of them; the words of each job in a full-text index; and a log that
 * can go with its job, when the job goes for good.
 */
export const documentsApart: Migration = {
  name: "004-documents-apart",
  async up({ tables, transaction }) {
    const { sequelize } = tables;
    const run = (sql: string) => sequelize.query(sql, { transaction });
    const jobId = { type: DataTypes.UUID, allowNull: false, references: { model: "jobs", key: "id" } };
    const text = { type: DataTypes.TEXT, allowNull: false };
    await tables.createTable("job_documents", { job_id: { ...jobId, primaryKey: true }, document: text }, { transaction });
    await run("INSERT INTO job_documents (job_id, document) SELECT id, document FROM jobs");

    // The number of a row is its own and stays the same when the file is copied, so the index may lean on it.
    await tables.createTable(
      "job_words",
      { row: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true }, job_id: { ...jobId, unique: true }, words: text },
      { transaction },
    );
    await run(
      "CREATE VIRTUAL TABLE job_search USING fts5(words, content='job_words', content_rowid='row', prefix='2 3', tokenize='unicode61 remove_diacritics 2')",
    );
    // What was deleted is not left in the index. Source: sqlite.org/fts5.html#the_secure_delete_configuration_option.
    await run("INSERT INTO job_search (job_search, rank) VALUES ('secure-delete', 1)");
    const remove = "INSERT INTO job_search (job_search, rowid, words) VALUES ('delete', old.row, old.words);";
    const add = "INSERT INTO job_search (rowid, words) VALUES (new.row, new.words);";
    await run(`CREATE TRIGGER job_words_added AFTER INSERT ON job_words BEGIN ${add} END`);
    await run(`CREATE TRIGGER job_words_removed AFTER DELETE ON job_words BEGIN ${remove} END`);
    await run(`CREATE TRIGGER job_words_changed AFTER UPDATE ON job_words BEGIN ${remove} ${add} END`);

    const rows = await sequelize.query<{ id: string; words: string }>("SELECT id, search_text AS words FROM jobs", {
      type: QueryTypes.SELECT,
      transaction,
    });
    for (const { id, words } of rows)
      await sequelize.query("INSERT INTO job_words (job_id, words) VALUES (:id, :words)", {
        replacements: { id, words: folded(words) },
        transaction,
      });
    for (const column of ["document", "search_text"]) await run(`ALTER TABLE jobs DROP COLUMN ${column}`);
    // The order of the docket, without a row being read.
    await run("CREATE INDEX jobs_in_order ON jobs (binned_at, (visit_on IS NULL), visit_on, name, id, phase)");

    await run("ALTER TABLE jobs ADD COLUMN is_erased BOOLEAN NOT NULL DEFAULT 0");
    await run("DROP TRIGGER job_events_no_delete");
    await run(
      "CREATE TRIGGER job_events_no_delete BEFORE DELETE ON job_events WHEN NOT (SELECT is_erased FROM jobs WHERE id = old.job_id) BEGIN SELECT RAISE(ABORT, 'job_events is append-only'); END",
    );
  },
};
