/** Short tones and spoken words, where the device has them. Nothing depends on their being heard. */

import { usePreferences } from "./preferences.ts";

let context: AudioContext | undefined;
const TONE_HZ = 660;
const TONE_S = 0.18;
const GAP_S = 0.12;

/** So many short tones. Silent where there is no sound, or the browser wants a touch first. */
export function sound(times: number): void {
  if (!usePreferences.getState().sounds) return;
  try {
    context ??= new AudioContext();
    for (let index = 0; index < times; index++) {
      const start = context.currentTime + index * (TONE_S + GAP_S);
      const tone = context.createOscillator();
      tone.frequency.value = TONE_HZ;
      tone.connect(context.destination);
      tone.start(start);
      tone.stop(start + TONE_S);
    }
  } catch {
    context = undefined;
  }
}

/** Speaks a line and drops what was still being said. @returns whether the device can speak at all */
export function speak(text: string): boolean {
  if (!("speechSynthesis" in window) || !usePreferences.getState().speaks) return false;
  window.speechSynthesis.cancel();
  const words = new SpeechSynthesisUtterance(text);
  words.lang = "en";
  window.speechSynthesis.speak(words);
  return true;
}

/** Stops speaking. */
export function hush(): void {
  if ("speechSynthesis" in window) window.speechSynthesis.cancel();
}

/** Keeps the screen awake where the device allows it. @returns how to let it sleep again */
export function keepAwake(): () => void {
  let lock: WakeLockSentinel | undefined;
  let over = false;
  const ask = async () => {
    if (!("wakeLock" in navigator) || over) return;
    lock = await navigator.wakeLock.request("screen").catch(() => undefined);
    if (over) void lock?.release();
  };
  // a lock is lost when the page is hidden, and asked for again when it is shown
  const onShown = () => void (document.visibilityState === "visible" && ask());
  document.addEventListener("visibilitychange", onShown);
  void ask();
  return () => {
    over = true;
    document.removeEventListener("visibilitychange", onShown);
    void lock?.release();
  };
}
