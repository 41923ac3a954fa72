import { problem } from "../problem";

/** Whatever the interface does not know is a problem like any other. */
const nothingHere = (): Response =>
  problem({
    status: 404,
    title: "Nothing here",
    detail: "There is nothing at this address; docs/job-file.md and the README list what there is.",
  });

export { nothingHere as DELETE, nothingHere as GET, nothingHere as PATCH, nothingHere as POST, nothingHere as PUT };
