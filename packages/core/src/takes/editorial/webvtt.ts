/** A text that is shown from one time to another. */
export interface VttCue {
  readonly fromS: number;
  readonly toS: number;
  readonly text: string;
}

/** Minimum duration of a cue, so that it is visible. */
const SHORTEST_S = 0.1;

/** Cues as a WebVTT file. The text is escaped: no arrows, no empty lines, no markup. */
export function webVtt(title: string, cues: readonly VttCue[]): string {
  const blocks = [...cues]
    .sort((a, b) => a.fromS - b.fromS)
    .map(({ fromS, toS, text }, index) => {
      const endS = Math.max(toS, fromS + SHORTEST_S);
      return `${index + 1}\n${stamp(fromS)} --> ${stamp(endS)}\n${plain(text) || '·'}\n`;
    });
  return `WEBVTT ${plain(title)}\n\n${blocks.join('\n')}`;
}

/** `hh:mm:ss.ttt` */
function stamp(seconds: number): string {
  const ms = Math.max(0, Math.round(seconds * 1000));
  const two = (value: number) => String(Math.floor(value)).padStart(2, '0');
  return `${two(ms / 3_600_000)}:${two((ms / 60_000) % 60)}:${two((ms / 1000) % 60)}.${String(ms % 1000).padStart(3, '0')}`;
}

function plain(text: string): string {
  return text.replace(/\s+/g, ' ').trim().replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;');
}
