export { joinAlternates, showAlternate, splitAlternates } from './alternates.js';
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
export { changeAim, changeCameraKey, moveCameraTo, removeAim, removeCameraKey, setAim } from './cameraPath.js';
export {
  addSubjectAt,
  clearFloor,
  goByDrawing,
  placeMark,
  setLensHeight,
  setSubjectHeight,
  startFloor,
  walkTo,
} from './floor.js';
export { copyOnFloor, type FloorItem, moveOnFloor, removeFromFloor } from './group.js';
export {
  addLandmark,
  changeLandmark,
  changePicture,
  layPicture,
  removeLandmark,
  removePicture,
  scalePicture,
} from './landmarks.js';
export { addPlace, changeMark, marksHold, removeMark, staleMarks } from './marks.js';
export { changeCoursePoint } from './course.js';
export { nextId } from './ids.js';
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
export {
  addRack,
  addRackTo,
  changeRack,
  dragRackEdge,
  type RackRoom,
  rackRoom,
  rackStartFrom,
  removeRack,
  setLineStart,
} from './racks.js';
export { reversed } from './reverse.js';
export { setDuration, setHand, setHandLimit, setSchedule, setWanted, shortestDurationS } from './shot.js';
export { stepBack } from './stepBack.js';
export { withTargets } from './targets.js';
export { addStay, addSubject, changeStay, changeSubject, removeSubject } from './subjects.js';
