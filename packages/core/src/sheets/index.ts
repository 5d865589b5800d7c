export { stripArcMm } from './stripArc.js';
