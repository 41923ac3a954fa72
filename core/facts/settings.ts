interface SettingFact {
  readonly key: string;
  /** How the sentence about it begins: "Digital sound output is set to …". */
  readonly name: string;
  /** Where to look, in general terms; every maker words its menus in its own way. */
  readonly lookIn: string;
  readonly options: readonly { readonly value: string; readonly label: string }[];
}

const ON_OFF = [
  { value: "on", label: "on" },
  { value: "off", label: "off" },
] as const;

/** The settings that the engine understands, with their choices. A device says which of these choices it has. */
export const SETTINGS = [
  {
    key: "player-audio",
    name: "Sound format sent",
    lookIn: "sound, then digital output or format",
    options: [
      { value: "auto", label: "auto" },
      { value: "bitstream", label: "bitstream" },
      { value: "pcm", label: "PCM" },
      { value: "dolby-digital", label: "always Dolby Digital" },
    ],
  },
  {
    key: "digital-output",
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
    name: "Sound plays from",
    lookIn: "sound output, then speakers",
    options: [
      { value: "own", label: "the screen's own speakers" },
      { value: "external", label: "the sound system" },
    ],
  },
  { key: "earc", name: "eARC", lookIn: "sound output or HDMI control, then eARC", options: ON_OFF },
  { key: "arc", name: "ARC", lookIn: "sound output or HDMI control, then return channel", options: ON_OFF },
  {
    key: "cec",
    name: "HDMI control (CEC)",
    lookIn: "general or system, then HDMI control (makers use names of their own)",
    options: ON_OFF,
  },
  {
    key: "upmix",
    name: "Stereo is played",
    lookIn: "the sound system's remote, sound mode",
    options: [
      { value: "off", label: "as it comes" },
      { value: "on", label: "spread to all speakers" },
    ],
  },
] as const satisfies readonly SettingFact[];

export type SettingKey = (typeof SETTINGS)[number]["key"];
export const SETTING_KEYS = SETTINGS.map((row) => row.key) as [SettingKey, ...SettingKey[]];

export function settingFact(key: SettingKey): SettingFact {
  const row = SETTINGS.find((setting) => setting.key === key);
  if (!row) throw new Error(`No setting ${key}`);
  return row;
}

/** The word for a setting's value; the value itself when the table does not know it. */
export const optionLabel = (key: SettingKey, value: string): string =>
  settingFact(key).options.find((option) => option.value === value)?.label ?? value;
