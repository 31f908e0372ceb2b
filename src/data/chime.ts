/** Two soft notes, the second a fifth above the first: Hz, and when each begins, in seconds. */
const NOTES = [
  { pitch: 392, at: 0 },
  { pitch: 587.33, at: 0.22 },
];
const LASTS = 1.1;
const LOUDEST = 0.12;

/** A gentle sound of the app's own, made on the spot; a browser that lets no page sound is silent. */
export function chime(): void {
  if (typeof AudioContext === 'undefined') return;
  const audio = new AudioContext();
  for (const { pitch, at } of NOTES) {
    const begin = audio.currentTime + at;
    const tone = audio.createOscillator();
    const volume = audio.createGain();
    tone.type = 'sine';
    tone.frequency.value = pitch;
    volume.gain.setValueAtTime(0, begin);
    volume.gain.linearRampToValueAtTime(LOUDEST, begin + 0.03);
    volume.gain.exponentialRampToValueAtTime(0.001, begin + LASTS);
    tone.connect(volume).connect(audio.destination);
    tone.start(begin);
    tone.stop(begin + LASTS);
    if (at > 0) tone.onended = () => void audio.close();
  }
}
