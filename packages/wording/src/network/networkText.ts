import type { SentencePart } from '../sentence.js';

/** Who can use the program, in a sentence. */
export function networkSentence(isOpen: boolean, hasAddress: boolean): SentencePart[] {
  if (!isOpen) return [{ tone: 'plain', text: 'Only this machine can use Still Heron.' }];
  if (!hasAddress) return [{ tone: 'edge', text: 'Still Heron is open, but this machine is in no network.' }];
  return [
    { tone: 'sharp', text: 'Still Heron is open to your network.' },
    { tone: 'plain', text: 'Another device comes in with the crew code.' },
  ];
}

export const OPENING_EXPLAINED =
  'Once it is open, phones and tablets in the same network can roll with you, give cues and log takes. Each gives the crew code once.';

export const CHANGING_EXPLAINED = 'A new code turns everyone out. Each device needs the new one.';

export const CLOSING_EXPLAINED = 'Closing ends the connections of all other devices. The code stays the same.';

export const ONLY_HERE = 'Only the machine that runs Still Heron can change the code, or close it to the network.';

export const SCAN_IT = 'Scan it with the camera of the other device, or open the address there and type the code.';

/** Why a device warns of the certificate, and what to compare. */
export const OWN_CERTIFICATE =
  'The device warns once, because this machine has made its own certificate. The warning shows a SHA-256 fingerprint: it must be this one.';

/** How the warning goes away, and when not to do that. */
export const TRUST_IT =
  'To be rid of the warning, install this certificate on the device and trust it. Do so only for a machine that is yours: a person who has its key can pose as any site on that device.';

export const ENTER_TITLE = 'This device needs the crew code';

export const WHERE_THE_CODE_IS =
  'It is on the page “Other devices” of the machine that runs Still Heron, and of every device that is in. Your edits are kept here meanwhile.';
