/** Words of signing in and out. */
export const accessWords = {
  octachord: "Octachord",
  signInWords: "This Octachord is open to other machines, so it asks for its passphrase.",
  passphrase: "Passphrase",
  signIn: "Sign in",
  whoIsSignedIn: "Who is signed in",
  thisBrowser: "This browser",
  browserAt: (address: string) => `A browser at ${address}`,
  sessionWords: (at: string, seen: string) => `Signed in ${at}, last seen ${seen}`,
  signOut: "Sign out",
  signOutEverywhere: "Sign out everywhere",
};
