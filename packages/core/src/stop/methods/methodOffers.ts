import { solveTrack } from '../../track/index.js';
import { type Method, METHODS, type ShotPlan } from '../../plan/index.js';
import { type ActionFacts, actionFacts } from './actionFacts.js';
import { constantDistance, heldAtFirst, heldAtLast } from './methodPlans.js';

/** A focus method with its arguments for and against in this shot. */
export interface MethodOffer {
  readonly method: Method;
  /** The shot by this method, for the trials. Null if nothing can be computed, or if the action does not suit the method */
  readonly plan: ShotPlan | null;
  /** The open shot after choosing this method: with its focus track; null if only the method's name changes */
  readonly chosen: ShotPlan | null;
  readonly pro: readonly MethodArgument[];
  readonly contra: readonly MethodArgument[];
}

/** An argument for or against a method, by code. */
export type MethodArgument =
  | {
      readonly code:
        | 'all-measured'
        | 'nothing-measured'
        | 'one-person-does-all'
        | 'ring-out-of-reach'
        | 'ring-by-speed'
        | 'moves-in-depth'
        | 'nothing-turned'
        | 'must-find-first'
        | 'keeps-distance-to-one'
        | 'nobody-moves-in-depth'
        | 'camera-can-follow'
        | 'must-match-the-pace'
        | 'walks-to-a-mark'
        | 'nobody-walks-to-a-mark'
        | 'camera-ends-in-focus'
        | 'camera-stands'
        | 'soft-before-arrival'
        | 'hands-are-busy'
        | 'nothing-known'
        | 'a-hand-is-safer'
        | 'not-computable';
    }
  | {
      readonly code: 'several-in-turn' | 'one-distance-for-several' | 'several-to-choose-from';
      /** Number of subjects that must be sharp */
      readonly people: number;
    }
  /** A subject that comes between the camera and a required subject */
  | { readonly code: 'crossing'; readonly name: string; readonly timeS: number }
  /** A required subject is hidden, in all for a time and first at a time */
  | ({ readonly code: 'hidden-behind' } & ActionFacts['hidings'][number]);

/** Room to the edge of the zone that a follow keeps free. */
const ROOM_SHARE = 0.3;

/**
 * All focus methods, on an equal footing. The trials tell which keeps most; none is refused.
 *
 * @returns empty if nothing is required, or if no distance is known
 */
export function methodOffers(plan: ShotPlan): MethodOffer[] {
  const facts = actionFacts(plan);
  if (!facts) return [];
  return METHODS.map((method) => {
    const { shot, track } = planOf(method, plan, facts);
    const named = track && { ...track, method };
    return { method, plan: shot ?? named, chosen: named, ...argumentsFor(method, facts) };
  });
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

function argumentsFor(method: Method, facts: ActionFacts): Pick<MethodOffer, 'pro' | 'contra'> {
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
    case 'automatic':
      return automaticArguments(facts);
  }
}

function pulledArguments(method: 'follow' | 'rack', facts: ActionFacts): Pick<MethodOffer, 'pro' | 'contra'> {
  const { isOne, people, changesMm, known } = facts;
  return {
    pro: chosen([
      [known === 'known', { code: 'all-measured' }],
      [method === 'rack' && !isOne, { code: 'several-in-turn', people }],
      [method === 'follow' && changesMm > 0, { code: 'moves-in-depth' }],
    ]),
    contra: chosen([
      [known === 'unknown', { code: 'nothing-measured' }],
      [facts.isAlone, { code: 'one-person-does-all' }],
      [facts.needsRemote, { code: 'ring-out-of-reach' }],
      [facts.answersBySpeed, { code: 'ring-by-speed' }],
    ]),
  };
}

function stillArguments(method: 'fixed' | 'acquire-then-lock', facts: ActionFacts): Pick<MethodOffer, 'pro' | 'contra'> {
  const { isOne, people, changesMm } = facts;
  return {
    pro: [{ code: 'nothing-turned' }],
    contra: chosen([
      [!isOne, { code: 'one-distance-for-several', people }],
      [changesMm > 0, { code: 'moves-in-depth' }],
      [method === 'acquire-then-lock', { code: 'must-find-first' }],
    ]),
  };
}

function constantDistanceArguments({ isOne, changesMm }: ActionFacts): Pick<MethodOffer, 'pro' | 'contra'> {
  if (!isOne) return { pro: [], contra: [{ code: 'keeps-distance-to-one' }] };
  if (changesMm === 0) return { pro: [], contra: [{ code: 'nobody-moves-in-depth' }] };
  return { pro: [{ code: 'camera-can-follow' }], contra: [{ code: 'must-match-the-pace' }] };
}

/** A subject, or the camera, that arrives in focus is soft before. */
function arrival(code: 'walks-to-a-mark' | 'camera-ends-in-focus'): Pick<MethodOffer, 'pro' | 'contra'> {
  return { pro: [{ code }], contra: [{ code: 'soft-before-arrival' }] };
}

function automaticArguments(facts: ActionFacts): Pick<MethodOffer, 'pro' | 'contra'> {
  const { isOne, people, crossings, hidings, known } = facts;
  return {
    pro: chosen([
      [facts.isAlone || facts.needsRemote, { code: 'hands-are-busy' }],
      [known === 'unknown', { code: 'nothing-known' }],
    ]),
    contra: [
      ...chosen([[!isOne, { code: 'several-to-choose-from', people }]]),
      ...hidings.map((hiding): MethodArgument => ({ code: 'hidden-behind', ...hiding })),
      ...crossings.map(({ name, timeS }): MethodArgument => ({ code: 'crossing', name, timeS })),
      ...chosen([[known === 'known', { code: 'a-hand-is-safer' }]]),
      { code: 'not-computable' },
    ],
  };
}

function chosen(all: readonly (readonly [holds: boolean, argument: MethodArgument])[]): MethodArgument[] {
  return all.filter(([holds]) => holds).map(([, argument]) => argument);
}
