export { addBeat, changeBeat, removeBeat, SHORTEST_BEAT_S } from './beats.js';
export { changeMark, removeMark } from './marks.js';
export { newPlan } from './newPlan.js';
export { addRack, changeRack, dragRackEdge, type RackRoom, rackRoom, rackStartFrom, removeRack, setLineStart } from './racks.js';
export { setCamera, setDuration, setLens, setStop, shortestDurationS } from './shot.js';
export { addStay, addSubject, changeStay, changeSubject, removeSubject } from './subjects.js';
