import { type ShotPlan, withoutHeight, withUsualHeights } from '@still-heron/core';
import { unknownHeightsText } from '@still-heron/wording';
import { Button } from '../../ui/Button';
import { useEdit } from '../shot/useEdit';

/** People and things of unknown height hide nobody: says so, and gives them the usual ones by one press. */
export function UnknownHeights({ plan }: { readonly plan: ShotPlan }) {
  const edit = useEdit();
  const names = withoutHeight(plan).map(({ name }) => name);
  if (names.length === 0) return null;
  return (
    <section aria-label="Unknown heights">
      <p>{unknownHeightsText(names)}</p>
      <Button size="small" onClick={() => edit('use the usual heights', withUsualHeights)}>
        Use the usual heights
      </Button>
    </section>
  );
}
