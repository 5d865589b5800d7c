import { networkSentence } from './networkText';
import { badCertificateText, codeInAddress, entryAddress, fingerprintText, openStartText } from './startText';

test('an address brings the code, and only such an address', () => {
  const address = entryAddress('https://192.0.2.7:4870', 'K7QM-3RXD');
  expect(address).toBe('https://192.0.2.7:4870/#crew-code=K7QM-3RXD');
  expect(codeInAddress(new URL(address).hash)).toBe('K7QM-3RXD');
  for (const hash of ['', '#', '#crew', '#other=K7QM-3RXD']) expect(codeInAddress(hash)).toBeNull();
});

test('a start that is open tells the code and where to go', () => {
  expect(openStartText('K7QM-3RXD', ['https://192.0.2.7:4870', 'https://198.51.100.3:4870'])).toBe(
    'Other devices reach it with the crew code K7QM-3RXD, at\n  https://192.0.2.7:4870\n  https://198.51.100.3:4870',
  );
  expect(openStartText('K7QM-3RXD', [])).toBe('It is open to the network, but this machine is in none.');
  expect(fingerprintText('AB:CD')).toMatch(/ Its SHA-256 fingerprint is\n {2}AB:CD$/);
  expect(badCertificateText('/c', '/k', 'key values mismatch')).toContain(
    '/c can’t be used with the key /k: key values mismatch.',
  );
});

test('who can use the program, in a sentence', () => {
  const said = (...state: Parameters<typeof networkSentence>) => networkSentence(...state).map(({ text }) => text);
  expect(said(false, false)).toEqual(['Only this machine can use Still Heron.']);
  expect(said(true, true)[0]).toBe('Still Heron is open to your network.');
  expect(said(true, false)).toEqual(['Still Heron is open, but this machine is in no network.']);
});
