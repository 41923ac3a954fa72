"use client";

import { Button, Slider } from "antd";
import { useEffect, useRef, useState } from "react";
import { bedStrings, type Bed } from "@/core/facts";
import { pinkSamples, WAVE_POSITIONS } from "@/core/measure";
import { channelName, SIGNAL_CAUTION, upperFirst } from "@/core/text";
import { Choice } from "@/ui/kit";
import { roomWords } from "@/ui/words";
import styles from "./sheets.module.css";

const SECONDS = 4;
/** Speech-band noise: what a voice fills. Source: ITU-T P.50 band, 300 to 3400 Hz. */
const SPEECH_HZ = { from: 300, to: 3400 } as const;

interface Playing {
  readonly context: AudioContext;
  readonly gain: GainNode;
}

/** Noise from one channel of whatever this machine is connected to. It begins silent; the volume is raised by hand. */
export function TestTone({ layout }: { layout: Bed }) {
  const channels = WAVE_POSITIONS.map(({ channel }) => channel).filter((channel) => bedStrings(layout).includes(channel));
  const [channel, setChannel] = useState<string>(channels[0] ?? "L");
  const [isSpeech, setSpeech] = useState(false);
  const [volume, setVolume] = useState(0);
  const playing = useRef<Playing | null>(null);
  const [isOn, setOn] = useState(false);
  const stop = () => {
    void playing.current?.context.close();
    playing.current = null;
    setOn(false);
    setVolume(0);
  };
  useEffect(() => () => void playing.current?.context.close(), []);
  const start = () => {
    stop();
    playing.current = play(
      channels.findIndex((one) => one === channel),
      channels.length,
      isSpeech,
    );
    setOn(true);
  };
  return (
    <section aria-label={roomWords.testTones}>
      <h4>{roomWords.testTones}</h4>
      <p className={styles.caution}>{SIGNAL_CAUTION}</p>
      <p className={styles.quiet}>{roomWords.fedByThisMachine}</p>
      <div className={styles.seatChoice}>
        <Choice
          label={roomWords.channel}
          size="small"
          value={channel}
          options={channels.map((one) => ({ value: one as string, label: upperFirst(channelName(one)) }))}
          onChange={setChannel}
          disabled={isOn}
        />
        <Choice
          label={roomWords.kindOfNoise}
          size="small"
          value={isSpeech ? "speech" : "pink"}
          options={[
            { value: "pink", label: roomWords.pinkNoise },
            { value: "speech", label: roomWords.speechNoise },
          ]}
          onChange={(kind) => setSpeech(kind === "speech")}
          disabled={isOn}
        />
        <Button size="small" onClick={isOn ? stop : start}>
          {isOn ? roomWords.stop : roomWords.play}
        </Button>
      </div>
      <Slider
        min={0}
        max={100}
        value={volume}
        disabled={!isOn}
        ariaLabelForHandle={roomWords.volume}
        onChange={(value) => {
          setVolume(value);
          if (playing.current) playing.current.gain.gain.value = (value / 100) ** 2 * 0.5;
        }}
      />
    </section>
  );
}

/** Loops noise into one of several channels, at a gain of nothing. */
function play(index: number, count: number, isSpeech: boolean): Playing {
  const context = new AudioContext();
  context.destination.channelCount = Math.min(count, context.destination.maxChannelCount);
  const buffer = context.createBuffer(1, SECONDS * context.sampleRate, context.sampleRate);
  buffer.copyToChannel(Float32Array.from(pinkSamples(buffer.length, 8)), 0);
  const source = context.createBufferSource();
  source.buffer = buffer;
  source.loop = true;
  const gain = context.createGain();
  gain.gain.value = 0;
  const merger = context.createChannelMerger(count);
  const ends = isSpeech ? [filter(context, "highpass", SPEECH_HZ.from), filter(context, "lowpass", SPEECH_HZ.to)] : [];
  [source, ...ends].reduce<AudioNode>((from, to) => (from === to ? to : from.connect(to)), source).connect(gain);
  gain.connect(merger, 0, index);
  merger.connect(context.destination);
  source.start();
  return { context, gain };
}

function filter(context: AudioContext, type: BiquadFilterType, hertz: number): BiquadFilterNode {
  const made = context.createBiquadFilter();
  made.type = type;
  made.frequency.value = hertz;
  return made;
}
