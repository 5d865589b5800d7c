export { addBeat, changeBeat, removeBeat, SHORTEST_BEAT_S } from './beats.js';
export {
  type GearChange,
  gearChanges,
  type GearPart,
  type KitNow,
  letGo,
  takeCamera,
  takeLens,
  takeRig,
  takeWheel,
} from './gear.js';
export {
  addLandmark,
  addSubjectAt,
  changeCameraKey,
  changeLandmark,
  clearFloor,
  goByDrawing,
  moveCameraTo,
  placeMark,
  removeAim,
  removeCameraKey,
  removeLandmark,
  setAim,
  setLensHeight,
  setSubjectHeight,
  startFloor,
  walkTo,
} from './floor.js';
export { changeMark, marksHold, removeMark, staleMarks } from './marks.js';
export { newPlan } from './newPlan.js';
export { redrawn } from './redrawn.js';
export {
  addOpticsMove,
  cameraMoved,
  changeOpticsMove,
  type OpticsTrack,
  removeOpticsMove,
  setCamera,
  setFocalLength,
  setLens,
  setStop,
} from './optics.js';
export { addRack, changeRack, dragRackEdge, type RackRoom, rackRoom, rackStartFrom, removeRack, setLineStart } from './racks.js';
export { setDuration, shortestDurationS } from './shot.js';
export { addStay, addSubject, changeStay, changeSubject, removeSubject } from './subjects.js';
