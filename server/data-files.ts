/** What is in a data folder, by its name. */
export const DATABASE_FILE = "octachord.sqlite";
export const PHOTO_FOLDER = "attachments";
export const LAST_SAVE_FILE = "last-save.json";
export const LAST_BACKUP_FILE = "last-backup.json";
