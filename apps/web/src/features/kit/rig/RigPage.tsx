import {
  KIT_LIMITS,
  newPlan,
  planNotes,
  presetRig,
  type Rig,
  SUPPORTS,
  PULLERS,
  withSupport,
  type RigPart,
} from '@still-heron/core';
import { noteText, PULLER_WORDS, rigSentence, SUPPORT_WORDS } from '@still-heron/wording';
import { Checkbox } from '../../../ui/antd/Checkbox';
import { useState } from 'react';
import clsx from 'clsx';
import { Choice } from '../../../ui/fields/Choice';
import { TextField } from '../../../ui/fields/TextField';
import { KitFormFoot, MaybeNumber } from '../KitForm';
import { useOpenItem } from '../useOpenItem';
import { Button } from '../../../ui/Button';
import { Sentence } from '../../../ui/Sentence';
import layoutStyles from '../../../ui/layout.module.css';
import styles from './RigPage.module.css';
import textStyles from '../../../ui/text.module.css';
import fieldStyles from '../../../ui/fields/fields.module.css';

const NOTE_STYLES = {
  caution: layoutStyles.caution,
  blocks: textStyles.toneSoft,
  warning: textStyles.muted,
  hint: textStyles.muted,
};

/** A rig: support, puller, parts list with missing parts, and cautions. */
export function RigPage() {
  const { item, edit } = useOpenItem('rigs');
  if (!item) return null;
  const change = (name: string, changes: Partial<Rig>, gesture?: string) =>
    edit(name, (now) => ({ ...now, ...changes }), gesture);
  // notes that apply to the rig in any shot; missing parts are shown in the list itself
  const notes = planNotes({ ...newPlan(), rig: item }, { shutterAngleDeg: 180 }).filter(({ code }) => code !== 'missing-parts');
  return (
    <div className={layoutStyles.stepPage}>
      <div data-testid="surface" className={clsx(layoutStyles.surface, styles.rigSurface)}>
        <Sentence parts={rigSentence(item)} />
        <Parts rig={item} onChange={change} />
        {notes.length > 0 && (
          <section className={styles.rigNotes} aria-label="Notes on this rig">
            <h2>With this rig</h2>
            {notes.map((note) => (
              <p key={note.code} data-testid="caution" className={NOTE_STYLES[note.kind]} role="note">
                {noteText(note)}
              </p>
            ))}
          </section>
        )}
      </div>
      <RigFigures rig={item} onChange={change} />
    </div>
  );
}

interface Props {
  readonly rig: Rig;
  readonly onChange: (name: string, changes: Partial<Rig>, gesture?: string) => void;
}

function Parts({ rig, onChange }: Props) {
  const [added, setAdded] = useState('');
  const add = (names: readonly string[]) => {
    const fresh = names.filter((name) => name && !rig.parts.some((part) => part.name === name));
    const from = Math.max(0, ...rig.parts.map(({ id }) => Number(id.slice(5)) || 0));
    onChange('add parts', {
      parts: [...rig.parts, ...fresh.map((name, k) => ({ id: `part-${from + k + 1}`, name, isThere: false }))].slice(
        0,
        KIT_LIMITS.parts.max,
      ),
    });
  };
  const usual = presetRig('', rig.support, rig.puller).parts.map(({ name }) => name);
  const lacking = usual.filter((name) => !rig.parts.some((part) => part.name === name));
  return (
    <section className={styles.rigParts} aria-label="Parts">
      <ul>
        {rig.parts.map((part) => (
          <PartRow key={part.id} part={part} onChange={onChange} rig={rig} />
        ))}
      </ul>
      <form
        className={styles.rigAdd}
        onSubmit={(event) => {
          event.preventDefault();
          add([added.trim()]);
          setAdded('');
        }}
      >
        <label className={fieldStyles.field}>
          <span className={fieldStyles.fieldLabel}>another part</span>
          <input
            className={clsx(fieldStyles.fieldInput, fieldStyles.words)}
            value={added}
            maxLength={KIT_LIMITS.name.max}
            onChange={(event) => setAdded(event.target.value)}
          />
        </label>
        <Button type="submit">Add</Button>
        {lacking.length > 0 && <Button onClick={() => add(lacking)}>Usual parts for this support: {lacking.join(', ')}</Button>}
      </form>
    </section>
  );
}

interface PartRowProps extends Pick<Props, 'onChange' | 'rig'> {
  readonly part: RigPart;
}

function PartRow({ part, onChange, rig }: PartRowProps) {
  return (
    <li>
      <Checkbox
        checked={part.isThere}
        onChange={(event) =>
          onChange(`${part.name} ${event.target.checked ? 'here' : 'missing'}`, {
            parts: rig.parts.map((item) => (item.id === part.id ? { ...item, isThere: event.target.checked } : item)),
          })
        }
      >
        {part.name}
      </Checkbox>
      <Button
        look="quiet"
        aria-label={`Remove ${part.name} from the list`}
        onClick={() => onChange('delete a part', { parts: rig.parts.filter((item) => item.id !== part.id) })}
      >
        ✕
      </Button>
    </li>
  );
}

function RigFigures({ rig, onChange }: Props) {
  return (
    <aside data-testid="side" className={layoutStyles.side} aria-label="Figures of the rig">
      <section>
        <TextField
          label="name"
          isOptional={false}
          max={KIT_LIMITS.name.max}
          value={rig.name}
          testId="kit-name"
          onChange={(name) => onChange(`rename to ${name}`, { name })}
        />
        <Choice
          label="support"
          value={rig.support}
          choices={SUPPORTS.map((value) => ({ value, word: SUPPORT_WORDS[value] }))}
          onPick={(support) => onChange(`support: ${SUPPORT_WORDS[support]}`, withSupport(rig, support))}
        />
        <Choice
          label="who pulls"
          value={rig.puller}
          choices={PULLERS.map((value) => ({ value, word: PULLER_WORDS[value] }))}
          onPick={(puller) => onChange(`who pulls: ${PULLER_WORDS[puller]}`, { puller })}
        />
        <TextField
          label="display to judge focus"
          value={rig.display}
          max={KIT_LIMITS.optionalName.max}
          placeholder="which display"
          onChange={(display) => onChange('change the display', { display })}
        />
        <RigMeasures rig={rig} onChange={onChange} />
        <Checkbox
          checked={rig.displayIsCabled}
          onChange={(event) => onChange('display on a cable', { displayIsCabled: event.target.checked })}
        >
          display is on a cable
        </Checkbox>
      </section>
      <KitFormFoot kind="rigs" />
    </aside>
  );
}

function RigMeasures({ rig, onChange }: Pick<Props, 'rig' | 'onChange'>) {
  return (
    <div className={fieldStyles.fieldPair}>
      <MaybeNumber
        label="diagonal"
        unit="in"
        start={5}
        limit={KIT_LIMITS.displayInches}
        step={0.5}
        decimals={1}
        value={rig.displayInches}
        onChange={(displayInches, gesture) => onChange('change the display', { displayInches }, gesture)}
      />
      <MaybeNumber
        label="weight of the whole rig"
        unit="kg"
        start={5}
        limit={KIT_LIMITS.weightKg}
        step={0.1}
        decimals={1}
        value={rig.weightKg}
        onChange={(weightKg, gesture) => onChange('change the weight', { weightKg }, gesture)}
      />
    </div>
  );
}
