/** What an operand holds; its length in bytes follows from it, or runs to the end of the frame. */
export type CecOperand =
  | "physical-address"
  | "device-type"
  | "power-status"
  | "key"
  | "text"
  | "vendor-id"
  | "audio-status"
  | "on-off"
  | "opcode"
  | "abort-reason"
  | "version"
  | "bytes";

interface MessageRow {
  readonly opcode: number;
  readonly name: string;
  /** The name in the standard. */
  readonly title: string;
  /** To one device, to everyone, or either. */
  readonly to: "one" | "everyone" | "either";
  readonly operands: readonly (readonly [field: string, holds: CecOperand])[];
}

/**
 * The messages of the bus. Those that this program only shows carry their operands as bytes.
 * Source: CEC 1.4 tables 8 to 28; Report and Give Features, Set Audio Volume Level and the latencies: HDMI 2.0 §11 and 2.1 §10.
 */
export const CEC_MESSAGES = [
  // One-touch play and routing: §13.1, §13.2
  { opcode: 0x82, name: "active-source", title: "Active Source", to: "everyone", operands: [["address", "physical-address"]] },
  { opcode: 0x04, name: "image-view-on", title: "Image View On", to: "one", operands: [] },
  { opcode: 0x0d, name: "text-view-on", title: "Text View On", to: "one", operands: [] },
  { opcode: 0x9d, name: "inactive-source", title: "Inactive Source", to: "one", operands: [["address", "physical-address"]] },
  { opcode: 0x85, name: "request-active-source", title: "Request Active Source", to: "everyone", operands: [] },
  {
    opcode: 0x80,
    name: "routing-change",
    title: "Routing Change",
    to: "everyone",
    operands: [
      ["from", "physical-address"],
      ["into", "physical-address"],
    ],
  },
  { opcode: 0x81, name: "routing-information", title: "Routing Information", to: "everyone", operands: [["address", "physical-address"]] },
  { opcode: 0x86, name: "set-stream-path", title: "Set Stream Path", to: "everyone", operands: [["address", "physical-address"]] },
  // Standby: §13.3
  { opcode: 0x36, name: "standby", title: "Standby", to: "either", operands: [] },
  // System information: §13.6
  { opcode: 0x9e, name: "cec-version", title: "CEC Version", to: "one", operands: [["version", "version"]] },
  { opcode: 0x9f, name: "get-cec-version", title: "Get CEC Version", to: "one", operands: [] },
  { opcode: 0x83, name: "give-physical-address", title: "Give Physical Address", to: "one", operands: [] },
  {
    opcode: 0x84,
    name: "report-physical-address",
    title: "Report Physical Address",
    to: "everyone",
    operands: [
      ["address", "physical-address"],
      ["type", "device-type"],
    ],
  },
  { opcode: 0x91, name: "get-menu-language", title: "Get Menu Language", to: "one", operands: [] },
  { opcode: 0x32, name: "set-menu-language", title: "Set Menu Language", to: "everyone", operands: [["language", "text"]] },
  { opcode: 0xa5, name: "give-features", title: "Give Features", to: "one", operands: [] },
  { opcode: 0xa6, name: "report-features", title: "Report Features", to: "everyone", operands: [["features", "bytes"]] },
  // Vendor commands: §13.9
  { opcode: 0x87, name: "device-vendor-id", title: "Device Vendor ID", to: "everyone", operands: [["vendor", "vendor-id"]] },
  { opcode: 0x8c, name: "give-device-vendor-id", title: "Give Device Vendor ID", to: "one", operands: [] },
  { opcode: 0x89, name: "vendor-command", title: "Vendor Command", to: "one", operands: [["data", "bytes"]] },
  {
    opcode: 0xa0,
    name: "vendor-command-with-id",
    title: "Vendor Command With ID",
    to: "either",
    operands: [
      ["vendor", "vendor-id"],
      ["data", "bytes"],
    ],
  },
  { opcode: 0x8a, name: "vendor-remote-button-down", title: "Vendor Remote Button Down", to: "either", operands: [["data", "bytes"]] },
  { opcode: 0x8b, name: "vendor-remote-button-up", title: "Vendor Remote Button Up", to: "either", operands: [] },
  // Names on the screen: §13.8, §13.10
  { opcode: 0x64, name: "set-osd-string", title: "Set OSD String", to: "one", operands: [["data", "bytes"]] },
  { opcode: 0x46, name: "give-osd-name", title: "Give OSD Name", to: "one", operands: [] },
  { opcode: 0x47, name: "set-osd-name", title: "Set OSD Name", to: "one", operands: [["text", "text"]] },
  // Remote control: §13.12, §13.13
  { opcode: 0x8d, name: "menu-request", title: "Menu Request", to: "one", operands: [["data", "bytes"]] },
  { opcode: 0x8e, name: "menu-status", title: "Menu Status", to: "one", operands: [["data", "bytes"]] },
  { opcode: 0x44, name: "key-pressed", title: "User Control Pressed", to: "one", operands: [["key", "key"]] },
  { opcode: 0x45, name: "key-released", title: "User Control Released", to: "one", operands: [] },
  // Power: §13.14
  { opcode: 0x8f, name: "give-power-status", title: "Give Device Power Status", to: "one", operands: [] },
  { opcode: 0x90, name: "report-power-status", title: "Report Power Status", to: "either", operands: [["power", "power-status"]] },
  // General: §12.3, §12.4
  {
    opcode: 0x00,
    name: "feature-abort",
    title: "Feature Abort",
    to: "one",
    operands: [
      ["of", "opcode"],
      ["reason", "abort-reason"],
    ],
  },
  { opcode: 0xff, name: "abort", title: "Abort", to: "one", operands: [] },
  // System audio: §13.15
  { opcode: 0x70, name: "system-audio-mode-request", title: "System Audio Mode Request", to: "one", operands: [["data", "bytes"]] },
  { opcode: 0x72, name: "set-system-audio-mode", title: "Set System Audio Mode", to: "either", operands: [["mode", "on-off"]] },
  { opcode: 0x7d, name: "give-system-audio-mode-status", title: "Give System Audio Mode Status", to: "one", operands: [] },
  { opcode: 0x7e, name: "system-audio-mode-status", title: "System Audio Mode Status", to: "one", operands: [["mode", "on-off"]] },
  { opcode: 0x71, name: "give-audio-status", title: "Give Audio Status", to: "one", operands: [] },
  { opcode: 0x7a, name: "report-audio-status", title: "Report Audio Status", to: "one", operands: [["status", "audio-status"]] },
  {
    opcode: 0xa4,
    name: "request-short-audio-descriptor",
    title: "Request Short Audio Descriptor",
    to: "one",
    operands: [["data", "bytes"]],
  },
  { opcode: 0xa3, name: "report-short-audio-descriptor", title: "Report Short Audio Descriptor", to: "one", operands: [["data", "bytes"]] },
  { opcode: 0x73, name: "set-audio-volume-level", title: "Set Audio Volume Level", to: "one", operands: [["data", "bytes"]] },
  { opcode: 0x9a, name: "set-audio-rate", title: "Set Audio Rate", to: "one", operands: [["data", "bytes"]] },
  // Return channel: §13.17
  { opcode: 0xc0, name: "initiate-arc", title: "Initiate ARC", to: "one", operands: [] },
  { opcode: 0xc1, name: "report-arc-initiated", title: "Report ARC Initiated", to: "one", operands: [] },
  { opcode: 0xc2, name: "report-arc-terminated", title: "Report ARC Terminated", to: "one", operands: [] },
  { opcode: 0xc3, name: "request-arc-initiation", title: "Request ARC Initiation", to: "one", operands: [] },
  { opcode: 0xc4, name: "request-arc-termination", title: "Request ARC Termination", to: "one", operands: [] },
  { opcode: 0xc5, name: "terminate-arc", title: "Terminate ARC", to: "one", operands: [] },
  // Latency: HDMI 2.0 §10
  {
    opcode: 0xa7,
    name: "request-current-latency",
    title: "Request Current Latency",
    to: "everyone",
    operands: [["address", "physical-address"]],
  },
  { opcode: 0xa8, name: "report-current-latency", title: "Report Current Latency", to: "everyone", operands: [["data", "bytes"]] },
  // Recording, timers, tuner and deck: shown, not acted on
  { opcode: 0x0b, name: "record-off", title: "Record Off", to: "one", operands: [] },
  { opcode: 0x09, name: "record-on", title: "Record On", to: "one", operands: [["data", "bytes"]] },
  { opcode: 0x0a, name: "record-status", title: "Record Status", to: "one", operands: [["data", "bytes"]] },
  { opcode: 0x0f, name: "record-tv-screen", title: "Record TV Screen", to: "one", operands: [] },
  { opcode: 0x33, name: "clear-analogue-timer", title: "Clear Analogue Timer", to: "one", operands: [["data", "bytes"]] },
  { opcode: 0x99, name: "clear-digital-timer", title: "Clear Digital Timer", to: "one", operands: [["data", "bytes"]] },
  { opcode: 0xa1, name: "clear-external-timer", title: "Clear External Timer", to: "one", operands: [["data", "bytes"]] },
  { opcode: 0x34, name: "set-analogue-timer", title: "Set Analogue Timer", to: "one", operands: [["data", "bytes"]] },
  { opcode: 0x97, name: "set-digital-timer", title: "Set Digital Timer", to: "one", operands: [["data", "bytes"]] },
  { opcode: 0xa2, name: "set-external-timer", title: "Set External Timer", to: "one", operands: [["data", "bytes"]] },
  { opcode: 0x67, name: "set-timer-program-title", title: "Set Timer Program Title", to: "one", operands: [["text", "text"]] },
  { opcode: 0x43, name: "timer-cleared-status", title: "Timer Cleared Status", to: "one", operands: [["data", "bytes"]] },
  { opcode: 0x35, name: "timer-status", title: "Timer Status", to: "one", operands: [["data", "bytes"]] },
  { opcode: 0x42, name: "deck-control", title: "Deck Control", to: "one", operands: [["data", "bytes"]] },
  { opcode: 0x1b, name: "deck-status", title: "Deck Status", to: "one", operands: [["data", "bytes"]] },
  { opcode: 0x1a, name: "give-deck-status", title: "Give Deck Status", to: "one", operands: [["data", "bytes"]] },
  { opcode: 0x41, name: "play", title: "Play", to: "one", operands: [["data", "bytes"]] },
  { opcode: 0x08, name: "give-tuner-device-status", title: "Give Tuner Device Status", to: "one", operands: [["data", "bytes"]] },
  { opcode: 0x92, name: "select-analogue-service", title: "Select Analogue Service", to: "one", operands: [["data", "bytes"]] },
  { opcode: 0x93, name: "select-digital-service", title: "Select Digital Service", to: "one", operands: [["data", "bytes"]] },
  { opcode: 0x07, name: "tuner-device-status", title: "Tuner Device Status", to: "one", operands: [["data", "bytes"]] },
  { opcode: 0x06, name: "tuner-step-decrement", title: "Tuner Step Decrement", to: "one", operands: [] },
  { opcode: 0x05, name: "tuner-step-increment", title: "Tuner Step Increment", to: "one", operands: [] },
  { opcode: 0xf8, name: "cdc-message", title: "CDC Message", to: "everyone", operands: [["data", "bytes"]] },
] as const satisfies readonly MessageRow[];

export type CecMessageRow = (typeof CEC_MESSAGES)[number];
export type CecMessageName = CecMessageRow["name"];
