/** Words of pieces that several places share. */
export const kitWords = {
  notAllTried: "This room can be changed in more ways than there was time to play; these are what was tried.",
  serverAway: "The server does not answer. Nothing was changed; try again when it does.",
  damagedRows: (rows: number) => (rows === 1 ? "1 damaged entry" : `${rows} damaged entries`),
  damagedRowsWords: "This no longer reads; everything else is there. Enter it again and remove it from the list.",
  takeOffTheList: "Take off the list",
  lossless: "lossless",
  lossyNative: "lossy, as the maker coded it",
  codedAgain: "coded again on the way: a second lossy generation, notched where it was done",
  analogue: "analogue",
  upmixed: "filled by an upmixer; restores nothing",
  neverSent: "could have come, was never sent; the ring stands at the hop that forbids it",
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
