import { database, packBackup } from "@/server";
import { answer } from "../answer";
import { sendZip } from "../send-file";

/** Everything that the firm has, as one file that was read back before it goes out. */
export const GET = answer(async () => sendZip(await packBackup(await database())));
