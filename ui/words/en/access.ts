/** Words of signing in and out. */
export const accessWords = {
  octachord: "Octachord",
  signInWords: "This Octachord is open to other machines, so it asks for its passphrase.",
  passphrase: "Passphrase",
  signIn: "Sign in",
  signInHere: "Sign in on this device",
  byTicketWords: "You scanned the code of a signed-in Octachord. Nothing to type.",
  passphraseInstead: "Type the passphrase instead",
  onThePhone: "On the phone",
  close: "Close",
  readTheCode:
    "Scan it with the phone’s camera: it opens this page and signs in, once, within five minutes. The phone must be on the same network.",
  readTheCodeOpen: "Scan it with the phone’s camera. The phone must be on the same network.",
  thisMachineOnly:
    "This Octachord answers this machine only. Start it with OCTACHORD_HOST=0.0.0.0, OCTACHORD_HTTPS=1 and OCTACHORD_PASSPHRASE set to a passphrase of yours; then a phone on the same network reads its address here.",
  codeOf: (address: string) => `Code of ${address}`,
  notUnderstood: "The server’s answer cannot be read. Load the page again.",
  whoIsSignedIn: "Who is signed in",
  thisBrowser: "This browser",
  browserAt: (address: string) => `A browser at ${address}`,
  sessionWords: (at: string, seen: string) => `Signed in ${at}, last seen ${seen}`,
  signOut: "Sign out",
  signOutEverywhere: "Sign out everywhere",
};
