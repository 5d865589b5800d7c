export { judgeTake, type TakeVerdict, type UsableSpan } from './judgeTake.js';
export { MARK_HITS, type MarkHit, type MoveScore, scoreMoves } from './scoreMoves.js';
export { packTrack, type RingTrack, trackDegAt, unpackTrack } from './track.js';
export { type Correction, corrections, type LoggedHit } from './corrections.js';
