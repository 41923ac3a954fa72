"use client";

import { Button, Upload } from "antd";
import { useRef, useState } from "react";
import { proxy, wrap } from "comlink";
import { bedStrings } from "@/core/facts";
import { chosenSoundSystem, type Command, type Job } from "@/core/job";
import { planSignal, SignalPlan, type Reading } from "@/core/measure";
import type { Outcome } from "@/core/outcome";
import { mainSeat, type RoomAnswer } from "@/core/room";
import { fileStem, heardSentence, recordingSentence, recordingTroubleSentence, SIGNAL_CAUTION, wavTroubleSentence } from "@/core/text";
import { saveFile } from "@/ui/kit";
import { roomWords } from "@/ui/words";
import type { MeasureTrouble, MeasureWorker, RecordingQuestion } from "@/workers/measure-worker";
import { HeardTable } from "./heard-table";
import { bytesOrSound, record, type Recorder } from "./recorder";
import styles from "./sheets.module.css";

type State =
  | { readonly is: "idle" }
  | { readonly is: "working"; readonly share: number; readonly stop: () => void }
  | { readonly is: "recording"; readonly recorder: Recorder }
  | { readonly is: "read"; readonly reading: Reading }
  | { readonly is: "failed"; readonly words: string };

/** A worker of its own for each piece of work, so that it can be stopped at once. */
const startWorker = () => new Worker(new URL("../../workers/measure-worker.ts", import.meta.url), { type: "module" });

/** Makes the test signal, takes its recording and shows what was heard. */
export function MeasurePanel({ job, answer, onEdit }: { job: Job; answer: RoomAnswer; onEdit: (command: Command) => void }) {
  const [state, setState] = useState<State>({ is: "idle" });
  const [plan, setPlan] = useState<SignalPlan | null>(null);
  const player = useRef<HTMLAudioElement | null>(null);
  const device = chosenSoundSystem(job);
  const layout = device?.speakers?.bed ?? "2.0";
  const { space } = answer.scene;

  const make = async (then: (wav: Blob, made: SignalPlan) => void) => {
    const worker = startWorker();
    setState({ is: "working", share: 0, stop: () => worker.terminate() });
    try {
      const { wav, plan: made } = await wrap<MeasureWorker>(worker).make(layout);
      setPlan(made);
      then(new Blob([wav as BlobPart], { type: "audio/wav" }), made);
      setState({ is: "idle" });
    } catch {
      setState({ is: "failed", words: roomWords.signalFailed });
    } finally {
      worker.terminate();
    }
  };

  const read = async (recording: RecordingQuestion["recording"]) => {
    const used = plan ?? planSignal(layout);
    const worker = startWorker();
    let isStopped = false;
    const stop = () => {
      isStopped = true;
      worker.terminate();
      setState({ is: "idle" });
    };
    setState({ is: "working", share: 0, stop });
    try {
      const tell = proxy((share: number) => {
        if (!isStopped) setState({ is: "working", share, stop });
      });
      const outcome = (await wrap<MeasureWorker>(worker).read(
        { recording, plan: used, temperatureC: space.temperatureC },
        tell,
      )) as Outcome<Reading, MeasureTrouble>;
      if (!isStopped)
        setState(outcome.ok ? { is: "read", reading: outcome.value } : { is: "failed", words: troubleWords(outcome.refusal) });
    } catch {
      if (!isStopped) setState({ is: "failed", words: roomWords.readingFailed });
    } finally {
      worker.terminate();
    }
  };

  const drop = async (file: File) => {
    if (/\.json$/i.test(file.name)) {
      const parsed = SignalPlan.safeParse(
        await file
          .text()
          .then((text) => JSON.parse(text) as unknown)
          .catch(() => null),
      );
      if (parsed.success) setPlan(parsed.data);
      setState(parsed.success ? { is: "idle" } : { is: "failed", words: roomWords.notASignalPlan });
      return;
    }
    const heard = await bytesOrSound(file);
    if (heard) await read(heard);
    else setState({ is: "failed", words: roomWords.cannotDecode(file.name) });
  };

  const play = () =>
    void make((wav) => {
      const audio = player.current;
      if (!audio) return;
      audio.src = URL.createObjectURL(wav);
      // From silence: whoever presses raises the volume themselves.
      audio.volume = 0;
      void audio.play();
    });

  const startRecording = async () => {
    const recorder = await record().catch(() => null);
    setState(recorder ? { is: "recording", recorder } : { is: "failed", words: roomWords.noMicrophone });
  };

  return (
    <section aria-label={roomWords.byMicrophone} className={styles.wide}>
      <h4>{roomWords.byMicrophone}</h4>
      <p className={styles.caution}>{SIGNAL_CAUTION}</p>
      <ol className={styles.steps}>
        <li>
          {roomWords.stepSignal(layout, bedStrings(layout).length)}{" "}
          <Button
            size="small"
            onClick={() =>
              void make((wav, made) => {
                saveFile(`${fileStem(job.name)}-signal-${layout}.wav`, "audio/wav", wav);
                saveFile(`${fileStem(job.name)}-signal-${layout}.json`, "application/json", JSON.stringify(made, null, 2));
              })
            }
          >
            {roomWords.saveSignal}
          </Button>{" "}
          <Button size="small" onClick={play}>
            {roomWords.playHere}
          </Button>
          <audio ref={player} controls aria-label={roomWords.testSignal} className={styles.player} />
        </li>
        <li>
          {roomWords.stepRecord(mainSeat(space)?.name ?? roomWords.mainSeat)}{" "}
          {state.is === "recording" ? (
            <Button size="small" type="primary" onClick={() => void state.recorder.stop().then(read)}>
              {roomWords.stopAndRead}
            </Button>
          ) : (
            <Button size="small" onClick={() => void startRecording()}>
              {roomWords.recordHere}
            </Button>
          )}
        </li>
        <li>
          <div>
            <Upload.Dragger
              accept="audio/*,.wav,.json"
              maxCount={1}
              showUploadList={false}
              beforeUpload={(file) => {
                void drop(file);
                return false;
              }}
            >
              {roomWords.dropRecording}
            </Upload.Dragger>
          </div>
        </li>
      </ol>
      <div aria-live="polite">
        {state.is === "working" ? (
          <p role="status">
            {roomWords.working(Math.round(state.share * 100))}{" "}
            <Button size="small" onClick={state.stop}>
              {roomWords.stop}
            </Button>
          </p>
        ) : null}
        {state.is === "recording" ? <p role="status">{roomWords.recording}</p> : null}
        {state.is === "failed" ? <p role="alert">{state.words}</p> : null}
        {state.is === "read" ? (
          <>
            <p>{recordingSentence(state.reading)}</p>
            {device ? (
              <HeardTable answer={answer} device={device} reading={state.reading} onEdit={onEdit} />
            ) : (
              <p>{state.reading.channels.map(heardSentence).join(" ")}</p>
            )}
          </>
        ) : null}
      </div>
    </section>
  );
}

const troubleWords = (trouble: MeasureTrouble): string =>
  trouble.of === "file" ? wavTroubleSentence(trouble.trouble) : recordingTroubleSentence(trouble.trouble);
