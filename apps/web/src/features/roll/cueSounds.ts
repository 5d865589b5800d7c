import type { RollCue } from '@still-heron/core';

/** Pitch in Hz by direction: high for nearer, low for farther. */
const PITCHES = { nearer: 880, farther: 392 } as const;
const LENGTHS_S = { count: 0.05, start: 0.22, land: 0.07, enters: 0.12, leaves: 0.12, tick: 0.02 } as const;
const LOUDNESS = { count: 0.25, start: 0.5, land: 0.35, enters: 0.4, leaves: 0.5, tick: 0.2 } as const;
/** A tick rises towards the fastest moment of a follow by this share of its pitch. */
const TICK_RISE = 0.8;
/** Signals of two tones: a landing, and the zone entered or left. */
const TWICE: readonly RollCue['kind'][] = ['land', 'enters', 'leaves'];
/** Time from the first of two tones to the second, after the first has ended. */
const REST_S = 0.04;
const RISE_S = 0.005;

/** Sounds of a roll. They are scheduled ahead on the audio clock. */
export interface CueSounds {
  /** @param inS - seconds from now; a due sound plays at once */
  play(cue: Pick<RollCue, 'kind' | 'way' | 'share'>, inS: number): void;
  /** Cancels sounds that have not played yet. */
  hush(): void;
  /** Releases the audio context. */
  close(): void;
}

/** Creates the sounds. Browsers allow audio only after a user gesture. */
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
    play: ({ kind, way, share = 0 }, inS) => {
      // before a user gesture the audio clock stands still: cues would pile up and play all at once later
      if (context.state !== 'running') return void context.resume();
      const atS = Math.max(context.currentTime, heardNowS(context) + inS);
      const pitch = PITCHES[way] * (1 + TICK_RISE * share);
      stroke(pitch, atS, LENGTHS_S[kind], LOUDNESS[kind]);
      if (TWICE.includes(kind)) stroke(PITCHES[way], atS + LENGTHS_S[kind] + REST_S, LENGTHS_S[kind], LOUDNESS[kind]);
    },
    hush: () => {
      for (const tone of playing) tone.stop();
    },
    close: () => void context.close(),
  };
}

/** Audio time that is audible now: it lags behind the computed time by the output latency. */
function heardNowS(context: AudioContext): number {
  const { contextTime = 0, performanceTime = 0 } = context.getOutputTimestamp();
  // before it starts, the audio context reports no timestamp
  return performanceTime === 0 ? context.currentTime : contextTime + (performance.now() - performanceTime) / 1000;
}
