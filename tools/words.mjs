import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './run.mjs';

/**
 * Words that `docs/glossary.md` replaced, each with the word to use. Identifiers are compared whole and in parts: `letGo` is
 * found in `letGoMm`.
 */
const GONE_NAMES = {
  goesOn: 'isTracking',
  wentOn: 'isTracking',
  takeUp: 'startTracking',
  letGo: 'release',
  theLoop: 'trialLoop',
  standIn: 'focusReference, or simulated…',
  StandIn: 'FocusReference, or Simulated…',
  setOff: 'trigger, cue',
  SetOff: 'Cue',
  atStop: 'withAperture',
  rocked: 'focusChecks',
  wobble: 'focusCheck',
  wobbles: 'focusChecks',
  mends: 'fixes',
  Mend: 'Fix',
  askedOf: 'requirement',
  Anew: 'again',
  Quietly: 'AfterPause',
  PLAIN_: 'DEFAULT_',
  MOST_: 'MAX_',
  shoal: 'raised',
  '--haze': '--text-muted',
  '--mist': '--text',
  '--lantern': '--accent',
  '--reed': '--ok',
  '--rust': '--error',
  '--straw': '--warning',
  '--deep': '--page',
};

/** Phrases that are hard to read for those whose first language is not English. */
const GONE_PHRASES = [
  [/\bso many\b/i, 'the number'],
  [/\bso much that\b/i, 'a figure'],
  [/\bis said to be\b/i, 'the statement itself'],
  [/\b(goes|went|go) on with\b/i, 'follows, continues'],
  [/\bwhoever\b/i, 'the subject, the user'],
  [/\bwherever\b/i, 'the place'],
  [/\banew\b/i, 'again'],
  [/\bthe line is laid\b|\blay the line\b/i, 'work out the pulls'],
  [/\bstand-ins?\b/i, 'object to focus on, or simulated device'],
  [/\basked of\b/i, 'required of'],
  [/(^|\/\*\*? |\/\/ |\* )Of (a|an|the|each|every|all|what|one|two)\b/, 'the subject first'],
];

// the file that lists the words, the words of older documents that are still read, and compiled bytes
const SKIPPED = [
  /^tools\/words(\.test)?\.mjs$/,
  /^docs\/glossary\.md$/,
  /^packages\/core\/src\/(plan\/upgradePlan|takes\/upgradeTake)/,
  /loopBytes\.ts$/,
  /\/samples?\//,
  /^package-lock\.json$/,
];
const READ = /\.(ts|tsx|mjs|css|md|html)$/;

/** Faults of one text: line, word found, word to use. */
export function goneWords(text) {
  return text.split('\n').flatMap((line, index) => [
    ...Object.entries(GONE_NAMES)
      .filter(([gone]) => new RegExp(nameExpression(gone)).test(line))
      .map(([gone, instead]) => ({ line: index + 1, gone, instead })),
    ...GONE_PHRASES.flatMap(([expression, instead]) => {
      const found = expression.exec(line);
      return found ? [{ line: index + 1, gone: found[0].trim(), instead }] : [];
    }),
  ]);
}

/** A lower-case name starts where an identifier starts; one in capitals may also start inside. */
function nameExpression(gone) {
  if (gone.startsWith('--')) return `${gone}(?![a-z-])`;
  return /^[a-z]/.test(gone) ? `(?<![A-Za-z0-9_'’])${gone}(?![a-z])` : `${gone}(?![a-z])`;
}

/** Faults in all files of the project, as `file:line: …`. */
export function goneWordsInProject() {
  return execFileSync('git', ['ls-files', '--cached', '--others', '--exclude-standard'], { cwd: ROOT, encoding: 'utf8' })
    .split('\n')
    .filter((file) => READ.test(file) && !SKIPPED.some((expression) => expression.test(file)))
    .flatMap((file) =>
      goneWords(readIfThere(join(ROOT, file))).map(
        ({ line, gone, instead }) => `${file}:${line}: “${gone}” is gone. Use: ${instead}.`,
      ),
    );
}

function readIfThere(path) {
  try {
    return readFileSync(path, 'utf8');
  } catch {
    return ''; // deleted, but still in the index
  }
}

if (process.argv[1] === join(ROOT, 'tools/words.mjs')) {
  const faults = goneWordsInProject();
  if (faults.length > 0) {
    console.error(faults.join('\n'));
    process.exitCode = 1;
  }
}
