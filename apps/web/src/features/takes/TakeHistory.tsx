import type { TakeRevisionView, TakeRowView } from '@still-heron/contract';
import type { Take } from '@still-heron/core';
import { refusalText, takeChangesText } from '@still-heron/wording';
import { problemOf } from '../../shared/api/api';
import { useSaveTakeMutation, useTakeRevisionsQuery } from '../../shared/api/takesApi';
import { Button } from '../../ui/Button';
import { useNotices } from '../../ui/notices/notices';
import offerStyles from '../../ui/offers.module.css';

interface Props {
  readonly shotId: string;
  readonly row: TakeRowView;
  /** The take with its track */
  readonly take: Take;
}

const WHEN = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' });

/** What a take was before each change; any of it can be brought back. Its track stays. */
export function TakeHistory({ shotId, row, take }: Props) {
  const { id, version, number } = row;
  const notices = useNotices();
  const { currentData: revisions = [] } = useTakeRevisionsQuery({ id, version });
  const [save, { isLoading }] = useSaveTakeMutation();
  if (revisions.length === 0) return null;
  const bringBack = async (then: TakeRevisionView['take']) => {
    const { error } = await save({ shotId, id, version, take: { ...then, track: take.track } });
    if (error) notices.fail(refusalText(`Take ${number} was not changed`, problemOf(error).body));
  };
  return (
    <section aria-label={`Changes of take ${number}`}>
      <h3>Changes</h3>
      <ul className={offerStyles.offers}>
        {revisions.map(({ version: replaced, replacedAt, take: then }, index) => (
          <li key={replaced}>
            <span>
              {WHEN.format(new Date(replacedAt))}: {takeChangesText(then, revisions[index - 1]?.take ?? row.take)}
            </span>
            <Button look="quiet" disabled={isLoading} onClick={() => void bringBack(then)}>
              Bring back what it was before
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
