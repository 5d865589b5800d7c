import { useState } from 'react';
import { Link, Navigate, useMatch, useNavigate } from 'react-router';
import clsx from 'clsx';
import { problemOf, useChangeProductionMutation, useCreateProductionMutation, useProductionsQuery } from '../../shared/api/api';
import { Frame } from '../../ui/frame/Frame';
import { PageNote } from '../../ui/PageNote';
import { PreferenceChoices } from '../../ui/frame/PreferenceChoices';
import { Unreachable } from '../../ui/Unreachable';
import { TextField } from '../../ui/fields/TextField';
import { Button } from '../../ui/Button';
import barStyles from '../../ui/frame/bars.module.css';
import styles from './ProductionsPage.module.css';
import textStyles from '../../ui/text.module.css';
import fieldStyles from '../../ui/fields/fields.module.css';

/** All productions. At the address of the whole application, a single one is opened at once. */
export function ProductionsPage() {
  const opensSingle = useMatch('/') !== null;
  const { data: productions, error, refetch } = useProductionsQuery();
  const [rename] = useChangeProductionMutation();
  if (opensSingle && productions?.length === 1) return <Navigate to={`/productions/${productions[0]!.id}/shots`} replace />;
  return (
    <Frame
      screen="shots"
      top={
        <>
          <h1 className={barStyles.topTitle}>Productions</h1>
          <span className={barStyles.topBarGap} />
          <PreferenceChoices />
        </>
      }
    >
      {error && !productions && <Unreachable error={error} retry={() => void refetch()} />}
      {productions?.length === 0 && (
        <PageNote title="Name the production first.">
          <p>Its shots, set-ups and pulls are stored on this machine. A working title is enough.</p>
          <NewProduction />
        </PageNote>
      )}
      {productions && productions.length > 0 && (
        <section className={styles.productions}>
          <ul>
            {productions.map(({ id, name, shotCount, version }) => (
              <li key={id}>
                <TextField
                  label="Working title"
                  isBare
                  isOptional={false}
                  value={name}
                  max={80}
                  onChange={(text) => void rename({ id, version, name: text })}
                />
                <span className={textStyles.muted}>
                  {shotCount} {shotCount === 1 ? 'shot' : 'shots'}
                </span>
                <Link to={`/productions/${id}/shots`}>Open the shots of {name}</Link>
              </li>
            ))}
          </ul>
          <h2>New production</h2>
          <NewProduction />
          <p className={styles.further}>
            <Link to="/devices">Other devices</Link>
            <Link to="/backups">Backups</Link>
          </p>
        </section>
      )}
    </Frame>
  );
}

function NewProduction() {
  const [name, setName] = useState('');
  const [create, { error, isLoading }] = useCreateProductionMutation();
  const navigate = useNavigate();
  async function start(): Promise<void> {
    const made = await create(name);
    if (made.data) await navigate(`/productions/${made.data.id}/shots`);
  }
  return (
    <form
      className={styles.oneLineForm}
      onSubmit={(event) => {
        event.preventDefault();
        void start();
      }}
    >
      <div className={fieldStyles.field}>
        <label className={fieldStyles.fieldLabel} htmlFor="new-production">
          Working title
        </label>
        <input
          id="new-production"
          className={clsx(fieldStyles.fieldInput, fieldStyles.words)}
          value={name}
          maxLength={80}
          autoFocus
          autoComplete="off"
          onChange={(event) => setName(event.target.value)}
        />
      </div>
      <Button look="main" type="submit" disabled={name.trim() === '' || isLoading}>
        Create the production
      </Button>
      {error && (
        <p className={fieldStyles.fieldProblem} role="alert">
          {problemOf(error).body.message}. Needed: {problemOf(error).body.need}.
        </p>
      )}
    </form>
  );
}
