/** Words of pieces that several places share. */
export const kitWords = {
  notAllTried: "This room can be changed in more ways than there was time to try; these are the ones that were tried.",
  serverAway: "The server is not responding. Nothing was changed; try again when it is back.",
  damagedRows: (rows: number) => (rows === 1 ? "1 damaged entry" : `${rows} damaged entries`),
  damagedRowsWords: "This can no longer be read; everything else is there. Enter it again and remove this from the list.",
  takeOffTheList: "Take off the list",
  lossless: "lossless",
  lossyNative: "lossy, as delivered",
  codedAgain: "re-encoded on the way: a second lossy generation, notched where it happens",
  analogue: "analogue",
  upmixed: "filled by an upmixer; nothing is restored",
  neverSent: "available but never sent; the ring marks the hop that prevents it",
  notKnownFromHere: "not known from here on",
  cordWords:
    "A cord has one string for each channel, from the top: left, right, centre, bass effects (LFE), left and right surround, left and right back. The zigzag above them stands for objects. Strings that are sent and then lost end in a ring at the hop that loses them.",
  objects: "objects",
  howToReadTheStrings: "How to read the strings",
  soundSystem: "sound system",
  isThere: "is there",
  fromTheVan: "from the van",
  toBuy: "to buy",
  noneOfThese: "Nothing here by that name.",
};
