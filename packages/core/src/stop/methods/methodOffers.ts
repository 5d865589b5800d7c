import { isDeepEqual } from '../../deepEqual.js';
import { solveTrack } from '../../track/index.js';
import { autofocusRisk } from '../../verdict/index.js';
import { type Method, METHODS, type ShotPlan } from '../../plan/index.js';
import { type ActionFacts, actionFacts } from './actionFacts.js';
import { automaticArguments } from './automaticArguments.js';
import { type Arguments, type MethodArgument, thoseThatHold } from './methodArgument.js';
import { constantDistance, heldAtFirst, heldAtLast } from './methodPlans.js';

/** A focus method with its arguments for and against in this shot. */
export interface MethodOffer {
  readonly method: Method;
  /** The shot by this method, for the trials. Null if nothing can be computed, or if the action does not suit the method */
  readonly plan: ShotPlan | null;
  /** The open shot after choosing this method: with its focus track; null if only the method's name changes */
  readonly chosen: ShotPlan | null;
  /** It can't be used with this camera or lens: the first argument against it says why */
  readonly isRefused: boolean;
  /** What choosing it does to the pulls of the shot; null if there are none, before and after */
  readonly pulls: PullsAfter | null;
  readonly pro: readonly MethodArgument[];
  readonly contra: readonly MethodArgument[];
}

/** What becomes of the pulls of a shot: `unused` stay in the plan and are not made. */
export interface PullsAfter {
  readonly fate: 'kept' | 'removed' | 'replaced' | 'added' | 'unused';
  readonly before: number;
  readonly after: number;
}

const NO_PARTS: ShotPlan['laterMethods'] = [];

/** Room to the edge of the zone that a follow keeps free. */
const ROOM_SHARE = 0.3;

/**
 * All focus methods, on an equal footing. The trials tell which keeps most. Only autofocus is refused, where lens or camera have none.
 *
 * @param shown - of a shot in parts, each method is offered for the whole shot
 * @returns empty if nothing is required, or if no distance is known
 */
export function methodOffers(shown: ShotPlan): MethodOffer[] {
  const plan: ShotPlan = { ...shown, laterMethods: NO_PARTS };
  const facts = actionFacts(plan);
  if (!facts) return [];
  return METHODS.map((method) => {
    const { shot, track } = planOf(method, plan, facts);
    const named = track && { ...track, method };
    return {
      method,
      plan: shot ?? named,
      chosen: named,
      pulls: pullsAfter(method, plan, named),
      ...(method === 'automatic' ? automaticArguments(facts, autofocusRisk(plan), plan) : byHand(argumentsFor(method, facts))),
    };
  });
}

const byHand = (found: Arguments) => ({ ...found, isRefused: false });

function pullsAfter(method: Method, { focusTrack }: ShotPlan, chosen: ShotPlan | null): PullsAfter | null {
  const before = focusTrack.pulls.length;
  if (method === 'automatic') return before === 0 ? null : { fate: 'unused', before, after: before };
  const after = chosen?.focusTrack.pulls.length ?? before;
  if (before === 0 && after === 0) return null;
  if (chosen === null || isDeepEqual(chosen.focusTrack, focusTrack)) return { fate: 'kept', before, after };
  if (before === 0) return { fate: 'added', before, after };
  return { fate: after === 0 ? 'removed' : 'replaced', before, after };
}

/** Plans of a method: `track` changes only the focus track; `shot` is for the trials if the action itself would differ. */
interface MethodPlan {
  readonly shot?: ShotPlan | null;
  readonly track: ShotPlan | null;
}

function planOf(method: Method, plan: ShotPlan, facts: ActionFacts): MethodPlan {
  switch (method) {
    case 'fixed':
      return { track: solveTrack(plan, 'fixed')?.plan ?? null };
    case 'constant-distance':
      return { track: facts.isOne && facts.changesMm > 0 ? heldAtFirst(plan, facts) : null, shot: constantDistance(plan, facts) };
    case 'walk-in':
      return { track: facts.walksIn ? heldAtLast(plan, facts) : null };
    case 'push-in':
      return { track: facts.cameraMoves ? heldAtLast(plan, facts) : null };
    case 'follow':
      return { track: solveTrack(plan, 'follow', { roomShare: ROOM_SHARE })?.plan ?? null };
    case 'rack':
      return { track: plan.focusTrack.pulls.length > 0 ? plan : (solveTrack(plan, 'fewest-holds')?.plan ?? null) };
    case 'acquire-then-lock':
      return { track: heldAtFirst(plan, facts) };
    case 'automatic':
      return { track: null };
  }
}

function argumentsFor(method: Exclude<Method, 'automatic'>, facts: ActionFacts): Arguments {
  switch (method) {
    case 'follow':
    case 'rack':
      return pulledArguments(method, facts);
    case 'fixed':
    case 'acquire-then-lock':
      return stillArguments(method, facts);
    case 'constant-distance':
      return constantDistanceArguments(facts);
    case 'walk-in':
      return facts.walksIn ? arrival('walks-to-a-mark') : { pro: [], contra: [{ code: 'nobody-walks-to-a-mark' }] };
    case 'push-in':
      return facts.cameraMoves ? arrival('camera-ends-in-focus') : { pro: [], contra: [{ code: 'camera-stands' }] };
  }
}

function pulledArguments(method: 'follow' | 'rack', facts: ActionFacts): Arguments {
  const { isOne, people, changesMm, known } = facts;
  return {
    pro: thoseThatHold([
      [known === 'known', { code: 'all-measured' }],
      [method === 'rack' && !isOne, { code: 'several-in-turn', people }],
      [method === 'follow' && changesMm > 0, { code: 'moves-in-depth' }],
    ]),
    contra: thoseThatHold([
      [known === 'unknown', { code: 'nothing-measured' }],
      [facts.areHandsNeeded, { code: 'hands-needed' }],
      [facts.isAlone, { code: 'one-person-does-all' }],
      [facts.needsRemote, { code: 'ring-out-of-reach' }],
      [facts.answersBySpeed, { code: 'ring-by-speed' }],
    ]),
  };
}

function stillArguments(method: 'fixed' | 'acquire-then-lock', facts: ActionFacts): Arguments {
  const { isOne, people, changesMm } = facts;
  return {
    pro: [{ code: 'nothing-turned' }],
    contra: thoseThatHold([
      [!isOne, { code: 'one-distance-for-several', people }],
      [changesMm > 0, { code: 'moves-in-depth' }],
      [method === 'acquire-then-lock', { code: 'must-find-first' }],
    ]),
  };
}

function constantDistanceArguments({ isOne, changesMm }: ActionFacts): Arguments {
  if (!isOne) return { pro: [], contra: [{ code: 'keeps-distance-to-one' }] };
  if (changesMm === 0) return { pro: [], contra: [{ code: 'nobody-moves-in-depth' }] };
  return { pro: [{ code: 'camera-can-follow' }], contra: [{ code: 'must-match-the-pace' }] };
}

/** A subject, or the camera, that arrives in focus is soft before. */
function arrival(code: 'walks-to-a-mark' | 'camera-ends-in-focus'): Arguments {
  return { pro: [{ code }], contra: [{ code: 'soft-before-arrival' }] };
}
