import { alternatives } from './ranges.js';
import type { ProblemText } from './problemText.js';

/** What an address can ask for. */
export type Requested =
  'production' | 'shot' | 'revision' | 'kit item' | 'kind of kit' | 'picture' | 'take' | 'backup' | 'certificate';

/** Why an SVG is refused. `line` is counted from 1. */
export type SvgDanger =
  | { readonly kind: 'entity' | 'style-sheet' | 'style'; readonly line: number }
  | { readonly kind: 'element' | 'handler' | 'link'; readonly name: string; readonly line: number }
  | { readonly kind: 'malformed'; readonly reason: string };

/** Problems of a request, by code, with the values of the message. */
export interface RequestProblemValues {
  'not-found': { readonly what: Requested };
  'no-such-address': { readonly reason: string };
  'version-conflict': { readonly given: number; readonly stored: number };
  'not-an-object': object;
  'not-json': object;
  unreadable: { readonly reason: string };
  'bad-address': object;
  'too-deep': { readonly max: number };
  'not-a-range': object;
  'unknown-upgrade': { readonly given: string };
  'unknown-expectation': { readonly given: string };
  'headers-too-large': object;
  'too-slow': object;
  'id-taken': object;
  'not-joined': object;
  'too-large': { readonly body: string; readonly kitFile: string; readonly pictureMb: number };
  internal: object;
  'disk-full': object;
  'disk-nearly-full': { readonly freeMb: number; readonly needMb: number };
  'too-much-work': object;
  'takes-too-long': { readonly seconds: number };
  'given-up': object;
  'being-restored': object;
  'bad-backup': { readonly reason: string };
  'backup-failed': { readonly reason: string };
  'database-away': object;
  busy: object;
  'foreign-host': { readonly given: string; readonly own: string };
  'foreign-origin': { readonly given: string };
  'needs-https': object;
  'needs-crew-code': object;
  'wrong-crew-code': object;
  'too-many-codes': { readonly waitS: number };
  'only-here': object;
  'not-a-version': object;
  'not-ids': { readonly max: number };
  'out-of-range': { readonly name: string; readonly max: number };
  'not-a-choice': { readonly name: string; readonly choices: readonly string[] };
  'other-shots': object;
  'nothing-to-judge': { readonly missing: 'beat' | 'distance' };
  'not-a-picture': { readonly types: readonly string[] };
  'svg-not-plain': SvgDanger;
  'wrong-size': { readonly widthPx: number; readonly heightPx: number; readonly maxPx: number };
}

export type RequestProblemCode = keyof RequestProblemValues;

type Writers = { readonly [C in RequestProblemCode]: (values: RequestProblemValues[C]) => ProblemText };

const WRITERS: Writers = {
  'not-found': ({ what }) => ({ message: `there is no such ${what}`, need: `the id of a ${what} that exists` }),
  'no-such-address': ({ reason }) => ({ message: reason, need: 'an address and method listed at /api/docs' }),
  'version-conflict': ({ given, stored }) => ({
    message: `version ${stored} is stored now, and this change was made from version ${given}`,
    need: `a change made from version ${stored}`,
  }),
  'not-an-object': () => ({ message: 'the body is not a JSON object', need: 'a JSON object' }),
  'not-json': () => ({ message: 'the body can’t be read as JSON', need: 'a JSON object in UTF-8' }),
  unreadable: ({ reason }) => ({
    message: `the request can’t be read: ${reason}`,
    need: 'a JSON object in UTF-8, at a well-formed address',
  }),
  'bad-address': () => ({
    message: 'the address contains a character that can’t be stored',
    need: 'an address without control characters',
  }),
  'too-deep': ({ max }) => ({
    message: 'lists and objects lie too deep inside one another',
    need: `at most ${max} of them inside one another`,
  }),
  'not-a-range': () => ({ message: 'the range begins after the end of the file', need: 'a range within the file, or none' }),
  'unknown-upgrade': ({ given }) => ({
    message: `the connection can’t be changed to “${given}” at this address`,
    need: 'a plain request, or a WebSocket at /api/live or /api/devices',
  }),
  'unknown-expectation': ({ given }) => ({
    message: `the request expects “${given}”, which this server does not do`,
    need: 'a request without “Expect”, or with 100-continue',
  }),
  'headers-too-large': () => ({ message: 'address and headers are too large', need: 'less than 16 kB of them' }),
  'too-slow': () => ({ message: 'the request did not arrive in time', need: 'another try' }),
  'not-joined': () => ({ message: 'this device has not joined the shot', need: 'a “join” of the shot first' }),
  'id-taken': () => ({ message: 'a take of another shot has this id', need: 'an id of its own for each take' }),
  'too-large': ({ body, kitFile, pictureMb }) => ({
    message: 'the body is too large',
    need: `a body of at most ${body}, a kit file of at most ${kitFile} or a picture of at most ${pictureMb}mb`,
  }),
  'foreign-host': ({ given, own }) => ({
    message: `the request is addressed to “${given}”, which is not a name of this machine`,
    need: `the address that the server says at its start, such as http://${own}`,
  }),
  'foreign-origin': ({ given }) => ({
    message: `a page of ${given} sent the request, and only pages of this server may`,
    need: 'a request of a page of this server, or of a program without an Origin',
  }),
  'needs-https': () => ({
    message: 'the connection is not encrypted, and other devices reach this server by https only',
    need: 'the same address with https',
  }),
  'needs-crew-code': () => ({ message: 'this device has not given the crew code', need: 'the crew code' }),
  'wrong-crew-code': () => ({
    message: 'this is not the crew code',
    need: 'the eight characters as the machine that runs Still Heron shows them now',
  }),
  'too-many-codes': ({ waitS }) => ({ message: 'too many wrong codes were given', need: `another try in ${waitS} s` }),
  'only-here': () => ({
    message: 'only the machine that runs Still Heron may do this',
    need: 'the page “Other devices” on that machine',
  }),
  internal: () => ({
    message: 'the server failed, and nothing was changed',
    need: 'another try; if it fails again, look at the server’s log',
  }),
  'disk-full': () => ({
    message: 'the disk of the server is full',
    need: 'free space on that disk',
  }),
  'disk-nearly-full': ({ freeMb, needMb }) => ({
    message: `the disk of the server is almost full (${freeMb} MB are free)`,
    need: `${needMb} MB of free space on that disk`,
  }),
  'too-much-work': () => ({ message: 'the server is computing as much as it can', need: 'another try in a moment' }),
  'takes-too-long': ({ seconds }) => ({
    message: `the computation takes longer than ${seconds} s`,
    need: 'fewer takes, or a shorter shot',
  }),
  'being-restored': () => ({ message: 'a backup is being restored', need: 'another try in a moment' }),
  'given-up': () => ({ message: 'the computation was given up', need: 'another try' }),
  'bad-backup': ({ reason }) => ({ message: reason, need: 'another backup' }),
  'backup-failed': ({ reason }) => ({
    message: `the last backup failed: ${reason}`,
    need: 'a backup that succeeds; “npm run backup” tries it now',
  }),
  'database-away': () => ({
    message: 'the database does not answer',
    need: 'the database running again',
  }),
  busy: () => ({ message: 'another change was made at the same moment', need: 'another try' }),
  'not-a-version': () => ({
    message: 'the version is not a whole number',
    need: 'the version that was read, a whole number from 1',
  }),
  'not-ids': ({ max }) => ({ message: 'the list of ids can’t be read', need: `1 to ${max} ids with commas between` }),
  'out-of-range': ({ name, max }) => ({ message: `${name} is out of range`, need: `a whole number from 1 to ${max}` }),
  'not-a-choice': ({ name, choices }) => ({ message: `${name} has an unknown value`, need: alternatives(choices) }),
  'other-shots': () => ({ message: 'the list does not match the shots of the production', need: 'each of its shots once' }),
  'nothing-to-judge': ({ missing }) =>
    missing === 'beat'
      ? { message: 'nothing has to be sharp in this shot', need: 'a subject that must be sharp, and when' }
      : { message: 'no distance is known in this shot', need: 'a subject at a distance, and a start for the focus track' },
  'not-a-picture': ({ types }) => ({ message: 'the file is not a picture that can be used', need: `one of ${types.join(', ')}` }),
  'svg-not-plain': (danger) => ({
    message: `the SVG contains ${dangerText(danger)}`,
    need: 'an SVG of shapes only, or the same drawing as a PNG',
  }),
  'wrong-size': ({ widthPx, heightPx, maxPx }) => ({
    message: `the picture is ${widthPx} by ${heightPx} pixels`,
    need: `a picture of 1 to ${maxPx} pixels each way`,
  }),
};

/** Writes a problem of a request for the person who made it. */
export function requestText<C extends RequestProblemCode>(code: C, values: RequestProblemValues[C]): ProblemText {
  return WRITERS[code](values);
}

function dangerText(danger: SvgDanger): string {
  if (danger.kind === 'malformed') return `an error: ${danger.reason}`;
  const what = {
    entity: 'entities of its own',
    'style-sheet': 'an external style sheet',
    style: 'an external style',
    element: `an element <${'name' in danger ? danger.name : ''}>`,
    handler: `the handler ${'name' in danger ? danger.name : ''}`,
    link: `an external link in <${'name' in danger ? danger.name : ''}>`,
  }[danger.kind];
  return `${what} on line ${danger.line}`;
}
