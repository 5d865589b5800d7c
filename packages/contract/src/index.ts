/** Types of requests and responses. The page imports only types; the server runs the checks. */
export { BACKUP_REASONS, type BackupReason, BackupsView, BackupView, RestoredView } from './backups.js';
export { ErrorBody } from './errors.js';
export { ProblemView } from './problem.js';
export { type CheckContext, PLAN_CHECK } from './fields.js';
export { HealthView } from './health.js';
export { CreateKitItem, KIT_FORMAT, KitFile, KitImportView, KitItemView, SaveKitItem } from './kit.js';
export { SimulateReading, ReadingView, SendReading } from './measuring.js';
export { EnterCrewCode, NetworkView } from './network.js';
export { PictureView } from './pictures.js';
export {
  ChangeProduction,
  CreateProduction,
  MAX_SHOTS,
  OrderShots,
  PRODUCTION_NAME,
  ProductionView,
  UNIT_SYSTEMS,
} from './productions.js';
export {
  CreateShot,
  NameRevision,
  PLANS_AT_ONCE,
  REVISION_NAME,
  RevisionView,
  SavedBy,
  SaveShot,
  SCENE,
  ShotCheckView,
  ShotDocument,
  ShotPlanView,
  ShotRowView,
  ShotSetupView,
  ShotView,
  SLATE,
  TITLE,
} from './shots.js';
export {
  CreateTake,
  LoggedTakeView,
  SaveTake,
  TakePageView,
  TakeRevisionView,
  TakeRowView,
  TakeView,
  WrapUpView,
} from './takes.js';
export {
  CalibrationView,
  FaultsView,
  FaultTimesView,
  KeptByDepthView,
  KeptView,
  LensUseView,
  LooksView,
  StatisticsDetailsView,
  StatisticsView,
  TurnsView,
} from './statistics.js';
export { BeatRateView, KeepRateView, MAX_TRIALS_PER_REQUEST, StopRateView } from './stop.js';
export {
  JoinRoll,
  type JoinedView,
  RollCheckMessage,
  RollEnd,
  RollCueMessage,
  RollFaultMessage,
  RollView,
  RollWheel,
  ROLL_RATES,
  CueEventView,
} from './roll.js';
