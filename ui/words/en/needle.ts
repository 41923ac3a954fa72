/** Words of the needle, by which a person sees how far sound and picture part. */
export const needleWords = {
  title: "The needle",
  how: "Show this page through the player's input. The tick leaves as the needle passes the middle: where it is when you hear it is how far sound and picture part, in milliseconds. Right of the middle: sound late.",
  scale: "A scale from 400 milliseconds early to 400 late, with a needle that swings across it",
  start: "Start",
  stop: "Stop",
  fullScreen: "Full screen",
  shift: "Or move the tick until both fall together",
  together: "The tick is not moved.",
  late: (time: string) => `Together now: sound is ${time} late.`,
  early: (time: string) => `Together now: sound is ${time} early.`,
  caution: "Start with the volume low. This computer's own picture and sound must agree first: look at it on its own screen and speakers.",
};
