interface SettingFact {
  readonly key: string;
  /** What it is about: sound or picture, who wakes and obeys on the control bus, or only when the sound plays. */
  readonly concern: "signal" | "control" | "timing";
  /** The value it is put back to when it was found otherwise, its other values only making things worse; null: every value can be right. */
  readonly usual: string | null;
  /** How the sentence about it begins: "Digital sound output is set to …". */
  readonly name: string;
  /** Where to look, in general terms; every maker words its menus in its own way. */
  readonly lookIn: string;
  readonly options: readonly { readonly value: string; readonly label: string }[];
  /** What its values may be beside those: sockets of the device by id, or whole milliseconds. */
  readonly also?: "sockets" | "milliseconds";
}

const ON_OFF = [
  { value: "on", label: "on" },
  { value: "off", label: "off" },
] as const;

/** The settings that the engine understands, with their choices. A device says which of these choices it has. */
export const SETTINGS = [
  {
    key: "player-audio",
    concern: "signal",
    usual: null,
    name: "Sound format sent",
    lookIn: "sound, then digital output or format",
    options: [
      { value: "auto", label: "auto" },
      { value: "bitstream", label: "bitstream" },
      { value: "pcm", label: "PCM" },
      { value: "stereo", label: "stereo PCM" },
      { value: "dolby-digital", label: "always Dolby Digital" },
      { value: "dolby-digital-plus", label: "always Dolby Digital Plus" },
      { value: "dts", label: "always DTS" },
    ],
  },
  {
    key: "digital-output",
    concern: "signal",
    usual: null,
    name: "Digital sound output",
    lookIn: "sound output, then digital format",
    options: [
      { value: "auto", label: "auto" },
      { value: "pass-through", label: "pass-through" },
      { value: "pcm", label: "PCM" },
      { value: "dolby-digital", label: "Dolby Digital" },
    ],
  },
  {
    key: "speakers",
    concern: "signal",
    usual: null,
    name: "Sound plays from",
    lookIn: "sound output, then speakers",
    options: [
      { value: "own", label: "its own speakers" },
      { value: "external", label: "the sound system" },
    ],
  },
  { key: "earc", concern: "signal", usual: null, name: "eARC", lookIn: "sound output or HDMI control, then eARC", options: ON_OFF },
  { key: "arc", concern: "signal", usual: null, name: "ARC", lookIn: "sound output or HDMI control, then return channel", options: ON_OFF },
  {
    key: "cec",
    concern: "signal",
    usual: null,
    name: "HDMI control (CEC)",
    lookIn: "general or system, then HDMI control (makers use their own names)",
    options: ON_OFF,
  },
  {
    key: "control-wakes",
    concern: "control",
    usual: null,
    name: "Wakes others over HDMI control",
    lookIn: "HDMI control, then automatic power on; often a separate switch",
    options: ON_OFF,
  },
  {
    key: "control-obeys",
    concern: "control",
    usual: null,
    name: "Goes off with the others",
    lookIn: "HDMI control, then automatic power off; often a separate switch",
    options: ON_OFF,
  },
  {
    key: "upmix",
    concern: "signal",
    usual: null,
    name: "Stereo is played",
    lookIn: "the sound system's remote, sound mode",
    options: [
      { value: "off", label: "as received" },
      { value: "on", label: "spread to all speakers" },
    ],
  },
  {
    key: "decode-mode",
    concern: "signal",
    usual: null,
    name: "Sound mode",
    lookIn: "the receiver's remote, sound or surround mode; its display shows coding and mode as two lines",
    options: [
      { value: "auto", label: "auto" },
      { value: "direct", label: "direct" },
      { value: "stereo", label: "stereo" },
      { value: "all-channel-stereo", label: "stereo from all speakers" },
    ],
  },
  {
    key: "signal-format",
    concern: "signal",
    usual: null,
    name: "Picture mode of the HDMI sockets",
    lookIn: "video or HDMI setup, then signal or 4K format; often off from the factory, sometimes for each socket",
    options: [
      { value: "standard", label: "standard" },
      { value: "enhanced", label: "enhanced" },
    ],
  },
  {
    key: "edid-mode",
    concern: "signal",
    usual: null,
    name: "EDID shown to the player",
    lookIn: "the small switch on the box, marked with channels or EDID",
    options: [
      { value: "2ch", label: "two channels" },
      { value: "5.1", label: "5.1" },
      { value: "screen", label: "what the screen lists" },
    ],
  },
  {
    key: "arc-take",
    concern: "signal",
    usual: null,
    name: "Return channel input",
    lookIn: "the ARC button on the box; its lamp blinks while it searches and is steady once it has found the screen",
    options: ON_OFF,
  },
  {
    key: "input-select",
    concern: "signal",
    usual: null,
    name: "Chosen input",
    lookIn: "the selector on the box",
    options: [{ value: "follows", label: "the one in use" }],
    also: "sockets",
  },
  {
    key: "sound-follows",
    concern: "signal",
    usual: null,
    name: "Sound output follows",
    lookIn: "the box's remote or its web page, audio assignment",
    options: [
      { value: "lit", label: "the screen in use" },
      { value: "output-a", label: "output A" },
      { value: "output-b", label: "output B" },
    ],
  },
  {
    key: "object-format",
    concern: "signal",
    usual: null,
    name: "Format for surround objects",
    lookIn: "the computer's sound settings, the output's spatial format (its licence must be installed)",
    options: [
      { value: "off", label: "off" },
      { value: "home-theater", label: "the home theater format" },
      { value: "headphones", label: "the headphone format" },
    ],
  },
  {
    key: "output-device",
    concern: "signal",
    usual: null,
    name: "Sound output device",
    lookIn: "the computer's sound settings, output device",
    options: [
      { value: "hdmi", label: "HDMI" },
      { value: "other", label: "another device" },
    ],
  },
  {
    key: "power",
    concern: "signal",
    usual: null,
    name: "Power",
    lookIn: "the front or the remote",
    options: [
      { value: "on", label: "on" },
      { value: "standby", label: "standby" },
    ],
  },
  {
    key: "standby-pass",
    concern: "signal",
    usual: null,
    name: "Pass-through in standby",
    lookIn: "HDMI setup, then standby or pass-through",
    options: ON_OFF,
  },
  {
    key: "module",
    concern: "signal",
    usual: null,
    name: "HDMI module",
    lookIn: "the slot at the back; fit it before pairing",
    options: [
      { value: "fitted", label: "fitted" },
      { value: "missing", label: "not fitted" },
    ],
  },
  {
    key: "bluetooth",
    concern: "signal",
    usual: null,
    name: "Bluetooth",
    lookIn: "sound output or remotes and accessories, then Bluetooth",
    options: ON_OFF,
  },
  {
    key: "mute",
    concern: "signal",
    usual: "off",
    name: "Mute",
    lookIn: "the remote; many displays show it for a moment only",
    options: [
      { value: "off", label: "off" },
      { value: "on", label: "on" },
    ],
  },
  {
    key: "volume-level",
    concern: "signal",
    usual: "usual",
    name: "Volume",
    lookIn: "the remote or the knob",
    options: [
      { value: "usual", label: "a normal level" },
      { value: "zero", label: "zero" },
    ],
  },
  {
    key: "input-sound",
    concern: "signal",
    usual: "on",
    name: "Sound of the HDMI inputs",
    lookIn: "sound or HDMI setup, then audio input for each socket",
    options: [{ value: "on", label: "on for all" }],
    also: "sockets",
  },
  {
    key: "socket-mode",
    concern: "signal",
    usual: null,
    name: "The reversible HDMI socket works as",
    lookIn: "the small switch beside the socket, or the box's web page",
    options: [
      { value: "output", label: "HDMI output" },
      { value: "return", label: "sound output to a return socket" },
    ],
  },
  {
    key: "sound-delay",
    concern: "timing",
    usual: null,
    name: "Sound delay",
    lookIn: "the sound system's remote or menu, lip sync or audio delay; often separate for each input",
    options: [],
    also: "milliseconds",
  },
  {
    key: "picture-mode",
    concern: "signal",
    usual: null,
    name: "Picture mode",
    lookIn: "picture, then mode; game modes have the shortest delay",
    options: [
      { value: "auto", label: "by content" },
      { value: "standard", label: "standard" },
      { value: "film", label: "film" },
      { value: "game", label: "game" },
    ],
  },
  {
    key: "video-format",
    concern: "signal",
    usual: "auto",
    name: "Picture format sent",
    lookIn: "video output, then resolution or format",
    options: [
      { value: "auto", label: "auto" },
      { value: "forced", label: "always as mastered" },
    ],
  },
  { key: "hdr", concern: "signal", usual: null, name: "HDR", lookIn: "picture or video output, then HDR", options: ON_OFF },
] as const satisfies readonly SettingFact[];

export type SettingKey = (typeof SETTINGS)[number]["key"];
export const SETTING_KEYS = SETTINGS.map((row) => row.key) as [SettingKey, ...SettingKey[]];

/** Whether a setting can have a value at a device with these sockets. */
export function isSettingValue(key: SettingKey, value: string, sockets: readonly string[]): boolean {
  const { options, also } = settingFact(key);
  if (options.some((option) => option.value === value)) return true;
  return also === "sockets" ? sockets.includes(value) : also === "milliseconds" && /^\d{1,4}$/.test(value);
}

export function settingFact(key: SettingKey): SettingFact {
  const row = SETTINGS.find((setting) => setting.key === key);
  if (!row) throw new Error(`No setting ${key}`);
  return row;
}

/**
 * The word for a setting's value.
 * @param print what a socket is called, for the inputs of a selector
 */
export function optionLabel(key: SettingKey, value: string, print: (socket: string) => string): string {
  const { options, also } = settingFact(key);
  const known = options.find((option) => option.value === value)?.label;
  if (known !== undefined) return known;
  if (also === "milliseconds") return `${value}\u2009ms`;
  return key === "input-sound" ? `off for ${print(value)}` : print(value);
}
