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
  readonly pro: readonly string[];
  readonly contra: readonly string[];
  /** The argument of people who prefer another method */
  readonly otherView: string;
}

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
    const { shot, line } = planOf(method, plan, facts);
    const named = line && { ...line, method };
    return { method, plan: shot ?? named, chosen: named, ...argumentsFor(method, facts), otherView: OTHER_VIEWS[method] };
  });
}

/** Plans of a method: `track` changes only the focus track; `shot` is for the trials if the action itself would differ. */
interface MethodPlan {
  readonly shot?: ShotPlan | null;
  readonly line: ShotPlan | null;
}

function planOf(method: Method, plan: ShotPlan, facts: ActionFacts): MethodPlan {
  switch (method) {
    case 'fixed':
      return { line: solveTrack(plan, 'fixed')?.plan ?? null };
    case 'constant-distance':
      return { line: facts.isOne && facts.changesMm > 0 ? heldAtFirst(plan, facts) : null, shot: constantDistance(plan, facts) };
    case 'walk-in':
      return { line: facts.walksIn ? heldAtLast(plan, facts) : null };
    case 'push-in':
      return { line: facts.cameraMoves ? heldAtLast(plan, facts) : null };
    case 'follow':
      return { line: solveTrack(plan, 'follow', { roomShare: ROOM_SHARE })?.plan ?? null };
    case 'rack':
      return { line: plan.focusTrack.pulls.length > 0 ? plan : (solveTrack(plan, 'fewest-holds')?.plan ?? null) };
    case 'acquire-then-lock':
      return { line: heldAtFirst(plan, facts) };
    case 'automatic':
      return { line: null };
  }
}

function argumentsFor(method: Method, facts: ActionFacts): Pick<MethodOffer, 'pro' | 'contra'> {
  const { isOne, people, changesMm, crossings, known, isAlone, needsRemote, cameraMoves, walksIn, answersBySpeed } = facts;
  const pro: string[] = [];
  const contra: string[] = [];
  const say = (holds: boolean, list: string[], text: string) => {
    if (holds) list.push(text);
  };
  const moves = method === 'follow' || method === 'rack';
  say(moves && known === 'known', pro, 'the move is known: every mark is measured');
  say(moves && known === 'unknown', contra, 'the move is not known: nothing is rehearsed, and distances are judged by eye');
  say(moves && isAlone, contra, 'one person frames, moves and pulls at once');
  say(moves && needsRemote, contra, 'nobody holds the ring on this rig without a remote motor');
  say(moves && answersBySpeed, contra, 'this ring answers by speed: no mark on it holds');
  say(method === 'rack' && !isOne, pro, `${people} are asked for one after the other`);
  say(method === 'follow' && changesMm > 0, pro, 'whoever is asked for moves in depth while they are');
  const isStill = method === 'fixed' || method === 'acquire-then-lock';
  say(isStill, pro, 'nothing is turned while it rolls: the eyes are free for framing');
  say(isStill && !isOne, contra, `${people} are asked for, and there is one setting`);
  say(isStill && changesMm > 0, contra, 'whoever is asked for moves in depth');
  say(method === 'acquire-then-lock', contra, 'the camera must find the right one once, before it rolls');
  say(method === 'constant-distance' && !isOne, contra, 'more than one is asked for: it keeps the distance to one only');
  say(method === 'constant-distance' && isOne && changesMm === 0, contra, 'nobody moves in depth: there is no pace to keep');
  say(method === 'constant-distance' && isOne && changesMm > 0, pro, 'one person moves, and the camera can go with them');
  say(
    method === 'constant-distance' && isOne && changesMm > 0,
    contra,
    'the camera must be carried at their pace, to the width of the zone',
  );
  say(method === 'walk-in' && walksIn, pro, 'they end at a mark: set there, and let them come');
  say(method === 'walk-in' && !walksIn, contra, 'nobody who is asked for comes to a mark');
  say(method === 'push-in' && cameraMoves, pro, 'the camera ends where it can be set for: it comes into focus by itself');
  say(method === 'push-in' && !cameraMoves, contra, 'the camera stands still');
  const isIn = (method === 'walk-in' && walksIn) || (method === 'push-in' && cameraMoves);
  say(isIn, contra, 'soft until they are there: it must be requested, or asked for later');
  if (method === 'automatic') {
    say(isAlone || needsRemote, pro, 'hands are needed elsewhere');
    say(known === 'unknown', pro, 'nobody knows what will happen');
    say(!isOne, contra, `${people} are asked for, and it does not know which when`);
    for (const { name, timeS } of crossings) contra.push(`${name} comes in front at ${timeS.toFixed(1)} s: it may jump`);
    say(known === 'known', contra, 'the move is known: a hand that knows it is the safer');
    say(true, contra, 'how it searches and jumps can’t be computed: only your own takes tell');
  }
  return { pro, contra };
}

const OTHER_VIEWS: Readonly<Record<Method, string>> = {
  fixed: 'Others pull even small changes, for a zone as thin as the look wants.',
  'constant-distance': 'Others stand and pull, so that their steps don’t show in the picture.',
  'walk-in': 'Others follow all the way, so that the arrival is no surprise.',
  'push-in': 'Others pull along with the camera, sharp from the first frame.',
  follow: 'Others set a distance and let the action pass through it: nothing turned, nothing missed.',
  rack: 'Others cut, or stop down until both are sharp, and never turn while it rolls.',
  'acquire-then-lock': 'Others tape it: a distance that is measured needs no finding.',
  automatic: 'Others never leave it to the camera where the picture has more than one face.',
};
