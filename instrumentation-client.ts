import { z } from "zod";

// The page's own policy forbids making code from text, so Zod must not try: whether it may would be guessed once and could be guessed wrong.
z.config({ jitless: true });
