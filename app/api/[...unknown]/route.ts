import { problem } from "../problem";

/** Whatever the interface does not know is a problem like any other. */
const nothingHere = (): Response =>
  problem({
    status: 404,
    title: "Nothing here",
    detail: "This interface has nothing at that address; docs/job-file.md and the README name what there is.",
  });

export { nothingHere as DELETE, nothingHere as GET, nothingHere as PATCH, nothingHere as POST, nothingHere as PUT };
