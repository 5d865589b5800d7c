import type { RollCue } from '@still-heron/core';

/** Tones by which way the ring turns: high for nearer, low for farther. In Hz. */
const PITCHES = { nearer: 880, farther: 392 } as const;
const LENGTHS_S = { count: 0.05, start: 0.22, land: 0.07 } as const;
const LOUDNESS = { count: 0.25, start: 0.5, land: 0.35 } as const;
/** Between the two strokes of a landing. */
const SECOND_STROKE_S = 0.11;
const RISE_S = 0.005;

/** Sounds of a roll: each is told ahead, and the sound card keeps its time. */
export interface CueSounds {
  /** @param inS - from now; one that is due already sounds at once */
  play(cue: Pick<RollCue, 'kind' | 'way'>, inS: number): void;
  /** Silences what has not sounded yet. */
  hush(): void;
  /** Gives the sound card back. */
  close(): void;
}

/** Browsers let a page sound once something was pressed on it. */
export function cueSounds(): CueSounds {
  const context = new AudioContext({ latencyHint: 'interactive' });
  const playing = new Set<OscillatorNode>();
  function stroke(frequency: number, atS: number, lengthS: number, loudness: number): void {
    const tone = new OscillatorNode(context, { frequency });
    const volume = new GainNode(context, { gain: 0 });
    volume.gain.setValueAtTime(0, atS);
    volume.gain.linearRampToValueAtTime(loudness, atS + RISE_S);
    volume.gain.setValueAtTime(loudness, atS + lengthS - RISE_S);
    volume.gain.linearRampToValueAtTime(0, atS + lengthS);
    tone.connect(volume).connect(context.destination);
    tone.start(atS);
    tone.stop(atS + lengthS);
    playing.add(tone);
    tone.onended = () => playing.delete(tone);
  }
  return {
    play: ({ kind, way }, inS) => {
      // where nothing was pressed yet the card's clock stands: cues would pile up and all sound at once later
      if (context.state !== 'running') return void context.resume();
      const atS = Math.max(context.currentTime, heardNowS(context) + inS);
      stroke(PITCHES[way], atS, LENGTHS_S[kind], LOUDNESS[kind]);
      if (kind === 'land') stroke(PITCHES[way], atS + SECOND_STROKE_S, LENGTHS_S.land, LOUDNESS.land);
    },
    hush: () => {
      for (const tone of playing) tone.stop();
    },
    close: () => void context.close(),
  };
}

/** What is heard now, on the sound card's clock: it lies behind what is computed, by as much as the way to the ear takes. */
function heardNowS(context: AudioContext): number {
  const { contextTime = 0, performanceTime = 0 } = context.getOutputTimestamp();
  // a card that has not begun yet tells nothing
  return performanceTime === 0 ? context.currentTime : contextTime + (performance.now() - performanceTime) / 1000;
}
