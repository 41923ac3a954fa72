import type { SoundDescriptor } from "@/core/device";
import { BED_IDS, CODING_IDS } from "@/core/facts";
import type { Job } from "@/core/job";

/** A room in which somebody has found out what was not known, each answer chosen by one of the numbers in turn. */
export function foundOut(job: Job, numbers: readonly number[]): Job {
  let asked = 0;
  const oneOf = <Answer>(answers: readonly Answer[]): Answer => {
    const number = numbers[asked % numbers.length] ?? 0;
    asked += 1;
    const answer = answers[number % answers.length];
    if (answer === undefined) throw new Error("no answers to choose from");
    return answer;
  };
  const sounds = (): SoundDescriptor[] =>
    CODING_IDS.filter(() => oneOf([true, false])).map((coding) => ({ coding, channels: oneOf(BED_IDS), objects: oneOf([true, false]) }));
  const returns = () => oneOf(["none", "arc", "earc"] as const);
  return {
    ...job,
    devices: job.devices.map((device) => ({
      ...device,
      decodes: device.decodes ?? sounds().map((sound) => ({ ...sound, opens: [] })),
      ports: device.ports.map((port) =>
        port.connector === "hdmi"
          ? {
              ...port,
              returns: port.returns ?? returns(),
              maxGbps: port.maxGbps ?? oneOf([10.2, 18, 48]),
              hdcp: port.hdcp ?? oneOf(["none", "1.4", "2.2", "2.3"] as const),
            }
          : port,
      ),
      routes: device.routes.map((route) => (route.kind === "sound" ? { ...route, passes: route.passes ?? sounds() } : route)),
      presents: device.presents.map((rule) => (rule.rule === "list" ? { ...rule, sound: rule.sound ?? sounds() } : rule)),
      settings: device.settings.map((setting) => ({ ...setting, found: setting.found ?? oneOf(setting.options) })),
    })),
    cables: job.cables.map((cable) => ({ ...cable, returnWires: cable.returnWires ?? returns() })),
  };
}
