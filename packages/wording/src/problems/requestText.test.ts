import { neededSentence } from './problemText';
import { requestText } from './requestText';

test('problems of a request say what is wrong and what is needed', () => {
  expect(neededSentence(requestText('not-found', { what: 'take' }))).toBe(
    'There is no such take. Needed: the id of a take that exists.',
  );
  expect(neededSentence(requestText('foreign-host', { given: 'elsewhere.example', own: 'localhost:4870' }))).toBe(
    'The request is addressed to “elsewhere.example”, which is not a name of this machine. Needed: the address that the server says at its start, such as http://localhost:4870.',
  );
  expect(requestText('foreign-origin', { given: 'http://elsewhere.example' }).message).toContain('only pages of this server may');
  expect(requestText('version-conflict', { given: 3, stored: 5 }).message).toContain('version 5 is stored now');
  expect(requestText('nothing-to-judge', { missing: 'beat' }).message).toBe('nothing has to be sharp in this shot');
  expect(requestText('too-large', { body: '1mb', kitFile: '8mb', pictureMb: 8 }).need).toContain('a picture of at most 8mb');
});

test.each([
  [{ kind: 'element', name: 'script', line: 2 } as const, 'an element <script> on line 2'],
  [{ kind: 'handler', name: 'onload', line: 1 } as const, 'the handler onload on line 1'],
  [{ kind: 'style-sheet', line: 4 } as const, 'an external style sheet on line 4'],
  [{ kind: 'malformed', reason: 'unclosed tag' } as const, 'an error: unclosed tag'],
])('an unsafe SVG: %j', (danger, text) => expect(requestText('svg-not-plain', danger).message).toBe(`the SVG contains ${text}`));

test.each([
  ['bad-address', {}, 'the address contains a character that can’t be stored'],
  ['too-deep', { max: 40 }, 'lists and objects lie too deep inside one another'],
  ['unknown-upgrade', { given: 'h2c' }, 'the connection can’t be changed to “h2c” at this address'],
  ['id-taken', {}, 'a take of another shot has this id'],
] as const)('%s', (code, values, message) => expect(requestText(code, values as never).message).toBe(message));
