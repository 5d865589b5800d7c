import { progressText } from '@still-heron/wording';
import { Button } from '../../ui/Button';
import type { Search } from './useSearch';

interface Props {
  readonly search: Search;
  /** What is done, such as "Looking for fixes" */
  readonly doing: string;
}

/** How far a search is, and the way to give it up, or to try again. */
export function SearchProgress({ search: { tried, isGivenUp, giveUp, tryAgain }, doing }: Props) {
  return (
    <>
      <span role="status">{isGivenUp ? `${doing}: given up.` : progressText(doing, tried)}</span>{' '}
      <Button look="quiet" onClick={isGivenUp ? tryAgain : giveUp}>
        {isGivenUp ? 'Try again' : 'Give up'}
      </Button>
    </>
  );
}
