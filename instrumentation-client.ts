import { config } from "zod/v4/core";

// The page's own policy forbids making code from text, so Zod must not try: whether it may would be guessed once and could be guessed wrong.
config({ jitless: true });
