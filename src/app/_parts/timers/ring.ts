"use client";

const TONE_HZ = 880;
const SECONDS = 0.35;
const TIMES = 3;

/** Three tones, and a notice of the system where that is allowed. What a browser does not do is left out: the page shows it anyhow. */
export function ring(words: string): void {
  try {
    const audio = new AudioContext();
    for (let i = 0; i < TIMES; i++) {
      const tone = audio.createOscillator();
      const volume = audio.createGain();
      tone.frequency.value = TONE_HZ;
      volume.gain.value = 0.2;
      tone.connect(volume).connect(audio.destination);
      tone.start(audio.currentTime + i * 2 * SECONDS);
      tone.stop(audio.currentTime + (i * 2 + 1) * SECONDS);
    }
    setTimeout(() => void audio.close(), TIMES * 2 * SECONDS * 1000 + 500);
  } catch (error) {
    console.error(error);
  }
  if (!("Notification" in globalThis) || Notification.permission !== "granted") return;
  void navigator.serviceWorker?.ready
    .then((worker) => worker.showNotification("Wary Petal", { body: words, tag: words }))
    .catch((error: unknown) => console.error(error));
}
