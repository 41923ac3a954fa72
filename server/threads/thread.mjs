// The thread reads the sources themselves, as the command line does.
import { register } from "tsx/esm/api";

register();
await import("./answering.ts");
