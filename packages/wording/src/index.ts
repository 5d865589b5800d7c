export { brokenShotText, brokenShotTitle } from './problems/brokenShotText.js';
export { capital } from './capital.js';
export { counted, figure, listed } from './figure.js';
export { markLetter, sameNameText, SUBJECT_KIND_WORDS, subjectName, targetName } from './names.js';
export { type SentencePart, textOf } from './sentence.js';

export {
  type DistanceLimit,
  distanceRefusal,
  numbersRefusal,
  type PictureRefusal,
  pictureRefusal,
  type TimeLimit,
  timeRefusal,
} from './fields/typedText.js';
export { neededSentence, problemText, type ProblemText, problemView, readingText, typeSentence } from './problems/problemText.js';
export { alternatives, lengthText, rangeText } from './problems/ranges.js';
export {
  type Requested,
  type RequestProblemCode,
  type RequestProblemValues,
  requestText,
  type SvgDanger,
} from './problems/requestText.js';

export {
  AID_WORDS,
  HOLD_WORDS,
  LENS_AUTOFOCUS_WORDS,
  itemLine,
  KIND_WORDS,
  lensLine,
  PULLER_WORDS,
  RESPONSE_WORDS,
  scaleOfAnotherLens,
  SUPPORT_WORDS,
} from './kit/kitText.js';

export { beatText, REQUIREMENT_WORDS } from './plan/beatText.js';
export { fullText } from './plan/roomText.js';
export { changesText, differenceLines, differenceSummary, shotDifferenceLines } from './plan/differenceText.js';
export { gearDifferenceLines, gearEffectText, kitChangedText } from './plan/gearText.js';
export { keepsDistanceText, METHOD_WORDS, methodName } from './plan/methodText.js';
export { floorMarkText, spotTapeText } from './floor/spotText.js';
export { automaticPartsSentence, methodList, methodsText, partResult, partTimes } from './plan/methodPartText.js';
export { lookStopText } from './setup/lookStopText.js';
export { exposureSpanText, irisFollowText, lightAlongSentence, lightReadingText } from './setup/lightAlongText.js';
export {
  commonOffsetText,
  noAngleSentText,
  offsetCauseText,
  readAgainstScaleText,
  readDistanceText,
  READING_WORDS,
  ringReadingText,
  scaleInKitText,
  scaleOfMarksText,
  scaleOfReadingsText,
} from './marks/readingText.js';
export { LOCAL_RULES, noteText } from './plan/noteText.js';
export { limitedText, rehearsalEventText } from './plan/rehearsalText.js';

export { type Narration, narrate } from './verdict/narrate.js';
export { BLOCKING_MOVE_WORDS, blockingMoveLabel, directionLabel } from './moves/blockingMoveText.js';
export { moveFigureLabel, moveFigureValue, speedText } from './moves/moveFigureText.js';

export { autofocusReasonText, methodArgumentText, OTHER_VIEWS, pullsAfterText } from './stop/methodArgumentText.js';
export { enlargedText, frameText, onScreenText } from './setup/recordingText.js';
export {
  HAND_TASK_WORDS,
  handClashText,
  handReliefText,
  PERSON_WORDS,
  turnsOtherWayText,
  WHEEL_JOB_WORDS,
  wheelJobText,
} from './plan/handText.js';
export { halfSlates, halvesTakesText, halvesText, splitObstacleText } from './stop/splitText.js';
export { betterPictureText, toleratedText, watchedRatesText, WATCHED_WORDS, watchFiguresText } from './stop/watchingText.js';
export { setUpStepText } from './plan/setUpStepText.js';
export { narrateAutofocus } from './verdict/narrateAutofocus.js';
export { TIMELINE_LABELS } from './takes/timelineLabels.js';
export { compareSentence, formatMatchText } from './calculator/compareText.js';
export { EASING_WORDS, fixName, fixResult, fixStepName, fixTakes, idealTakeText, stopText } from './fixes/fixText.js';
export { impossibleText, smallestChangeText, solutionText, SOLVER_WAY_WORDS } from './fixes/solverText.js';
export {
  axisLines,
  beyondRingText,
  disagreementText,
  measureRefusalText,
  thirdStopText,
  noStopText,
  referenceRoomText,
  staleText,
  markOnRingText,
  leanText,
  markRoomLines,
  measuredByText,
  MEASURE_WORDS,
} from './marks/markText.js';
export {
  backToStartText,
  countdownText,
  cueText,
  degreesText,
  entranceText,
  figureAndUnit,
  paceText,
  practiceText,
  ringText,
  targetHintText,
  targetSubjectName,
  turnText,
  zoneLabel,
  zoneRoomText,
} from './roll/rollText.js';
export { chanceText, of100, takesOf100 } from './share.js';
export { errorName, improvementCost, improvementName, progressText } from './stop/improvementText.js';
export { minutesText, plannedTakesText, shotTimeLines } from './stop/shotTimeText.js';
export { balanceText, howWideText, lightText } from './stop/stopText.js';
export {
  adviceText,
  correctionText,
  FOCUS_GRADE_WORDS,
  faultText,
  focusText,
  hitMeasuredText,
  logText,
  NOT_SAID,
  RING_SOURCE_WORDS,
  TIMECODE_SOURCE_WORDS,
  PERFORMANCE_WORDS,
  pullTargetText,
  pullRunText,
  takeVerdictText,
  inLensDataUnit,
  lensDataReadText,
} from './takes/takeText.js';
export {
  FINDING_WORDS,
  findingFaultText,
  findingPlaceText,
  findingTimeText,
  lookFirstText,
  type PlaceNames,
  takeFaultText,
} from './takes/findingText.js';
export { findingCorrectionText } from './takes/correctionText.js';
export { HIT_WORDS } from './takes/hitWords.js';
export { differingTakesText, type Imported, importedText } from './takes/importText.js';
export { pullsSheet, type SheetTake, takesSheet } from './takes/takesSheet.js';
export { heldByText, wrapUpSentence, wrapUpText } from './takes/wrapUpText.js';
export { CONFIDENCE_WORDS, RECOVERY_WORDS, TURN_HEADINGS, turnCells, type TurnCell, turnFiguresText } from './takes/turnText.js';
export { depthGroupText, faultTimesText, lookText, recoveryLines, turnsOfDayText } from './takes/detailsText.js';
export { takeChangesText } from './takes/takeChangesText.js';
export {
  NO_TAKES,
  REPAIR_WORDS,
  reportFrameRates,
  reportMissing,
  reportSpan,
  reportSummary,
  reportTakeHead,
  reportTakeLines,
  reportTitle,
} from './takes/reportText.js';

export { floorSentence } from './floor/floorSentence.js';
export { AS_METERED_STOPS, depthSentence, faceText, meterSentence, zoneSentence } from './calculator/zoneSentence.js';
export { cameraSentence, lensSentence, rigSentence, wheelSentence } from './kit/kitSentences.js';
export { breathingLines, landingLines, neededTimeLines, peakSpeedLines, roomText, turnLines } from './verdict/effortText.js';
export { type ZoneFact, zoneFacts } from './setup/zoneFacts.js';
export { type LightWay, lightWays } from './setup/lightText.js';
export {
  calibrationFitText,
  calibrationStepText,
  NOT_READ_TEXT,
  landingWindowText,
  wheelTimeLines,
} from './kit/calibrationText.js';
export { crewFitLines, predictionText } from './takes/measuredText.js';
export { aimText, framingText, unknownHeightsText } from './floor/floorText.js';
export { blurLines, keepRateLines, separationText } from './stop/blurText.js';
export { savedByText, versionText } from './saving/versionText.js';
export { type SavingState, keptHereText, savingText } from './saving/savingText.js';
export { KEPT_INPUT, refusalText } from './saving/refusalText.js';
export {
  backupLine,
  brokenStoreText,
  emptyStartText,
  holdsText,
  madeText,
  momentText,
  newerStoreText,
  NO_EMPTY_SERVER,
  noRoomForBackupText,
  noSuchBackupText,
  otherPostgresText,
  putAsideText,
  restoredText,
  serverAwayText,
  sharedDatabaseText,
  type ToldBackup,
} from './backups/storeText.js';
export {
  ageText,
  BACKUP_REASON_WORDS,
  backupPlaceText,
  BACKUPS_KEPT,
  backupSentence,
  restoredSentence,
  restoreQuestion,
  sizeText,
  whenText,
} from './backups/backupText.js';
export {
  badCertificateText,
  codeInAddress,
  entryAddress,
  fingerprintText,
  foreignAddressText,
  openStartText,
  portInUseText,
} from './network/startText.js';
export {
  CHANGING_EXPLAINED,
  CLOSING_EXPLAINED,
  ENTER_TITLE,
  networkSentence,
  ONLY_HERE,
  OPENING_EXPLAINED,
  OWN_CERTIFICATE,
  SCAN_IT,
  TRUST_IT,
  WHERE_THE_CODE_IS,
} from './network/networkText.js';
