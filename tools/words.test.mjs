import { goneWords, goneWordsInProject } from './words.mjs';

test('no word that is gone is used in the project', () => {
  expect(goneWordsInProject()).toEqual([]);
});

test.each([
  ['const goesOnMm = 3;', 'goesOn'],
  ['  // Of each person is asked to be sharp', '// Of each'],
  ['/** Whoever rolls, records. */', 'Whoever'],
  ['color: var(--haze);', '--haze'],
  ['const MOST_TAKES = 3;', 'MOST_'],
  ['<p>Simulated by a stand-in.</p>', 'stand-in'],
])('in %s, “%s” is found', (text, gone) => {
  expect(goneWords(`a line\n${text}`)).toEqual([{ line: 2, gone, instead: expect.any(String) }]);
});

test('words that only contain one are left alone', () => {
  expect(goneWords('outgoing; canonical; mistyped; a hazel tree; the lantern; almost_all; --text-muted; manyOf the')).toEqual([]);
});
