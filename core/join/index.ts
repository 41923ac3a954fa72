export { joinJob } from "./join-job";
export {
  PLAYER_ANSWERS,
  SCREEN_ANSWERS,
  SOUND_ANSWERS,
  WAY_ANSWERS,
  type JoinAnswers,
  type PlayerAnswer,
  type ScreenAnswer,
  type SoundAnswer,
  type WayAnswer,
} from "./questions";
