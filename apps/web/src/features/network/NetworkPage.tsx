import type { NetworkView } from '@still-heron/contract';
import {
  CHANGING_EXPLAINED,
  CLOSING_EXPLAINED,
  entryAddress,
  neededSentence,
  networkSentence,
  ONLY_HERE,
  OPENING_EXPLAINED,
  OWN_CERTIFICATE,
  SCAN_IT,
  TRUST_IT,
} from '@still-heron/wording';
import clsx from 'clsx';
import { useState } from 'react';
import { problemOf } from '../../shared/api/api';
import { useChangeNetworkMutation, useNetworkQuery } from '../../shared/api/networkApi';
import { Button } from '../../ui/Button';
import { Frame } from '../../ui/frame/Frame';
import { TopBelowProductions } from '../../ui/frame/TopBelowProductions';
import { Sentence } from '../../ui/Sentence';
import textStyles from '../../ui/text.module.css';
import { Unreachable } from '../../ui/Unreachable';
import { EntryPicture } from './EntryPicture';
import styles from './NetworkPage.module.css';

/** How other devices come in: opens the server to the network, and shows the crew code. */
export function NetworkPage() {
  const { data, error, refetch } = useNetworkQuery();
  return (
    <Frame screen="network" top={<TopBelowProductions title="Other devices" />}>
      {error && !data && <Unreachable error={error} retry={() => void refetch()} />}
      {data && <Network view={data} />}
    </Frame>
  );
}

function Network({ view }: { readonly view: NetworkView }) {
  const [change, { isLoading, error }] = useChangeNetworkMutation();
  const { isOpen, isHere, code } = view;
  return (
    <section className={styles.network}>
      <Sentence parts={networkSentence(isOpen, view.addresses.length > 0)} testId="network-sentence" role="status" />
      {error && (
        <p className={textStyles.toneSoft} role="alert">
          {neededSentence(problemOf(error).body)}
        </p>
      )}
      {!isOpen && (
        <>
          <p className={styles.explained}>{OPENING_EXPLAINED}</p>
          <Button look="main" size="large" disabled={isLoading} onClick={() => void change('open')}>
            Open to the network
          </Button>
        </>
      )}
      {code !== null && <WayIn view={view} code={code} />}
      {isOpen && isHere && (
        <dl className={styles.acts}>
          <dt>
            <Button disabled={isLoading} onClick={() => void change('code')}>
              Change the code
            </Button>
          </dt>
          <dd>{CHANGING_EXPLAINED}</dd>
          <dt>
            <Button disabled={isLoading} onClick={() => void change('close')}>
              Close to the network
            </Button>
          </dt>
          <dd>{CLOSING_EXPLAINED}</dd>
        </dl>
      )}
      {isOpen && !isHere && <p className={styles.note}>{ONLY_HERE}</p>}
      {view.isOwnCertificate && view.fingerprint !== null && <OwnCertificate fingerprint={view.fingerprint} />}
    </section>
  );
}

/** The code, and the address that brings it to a camera. */
function WayIn({ view: { addresses }, code }: { readonly view: NetworkView; readonly code: string }) {
  const [chosen, setChosen] = useState<string | null>(null);
  const address = addresses.find((one) => one === chosen) ?? addresses[0];
  return (
    <div className={styles.wayIn}>
      {address !== undefined && (
        <EntryPicture address={entryAddress(address, code)} label={`QR code of ${address} with the crew code`} />
      )}
      <div>
        <p className={styles.codeLabel}>Crew code</p>
        <p className={clsx(styles.code, textStyles.figure)} data-testid="crew-code">
          {code}
        </p>
        <p className={styles.explained}>{SCAN_IT}</p>
        <ul className={styles.addresses} aria-label="Addresses">
          {addresses.map((one) => (
            <li key={one}>
              {addresses.length > 1 ? (
                <label>
                  <input type="radio" name="address" checked={one === address} onChange={() => setChosen(one)} /> {one}
                </label>
              ) : (
                one
              )}
            </li>
          ))}
        </ul>
      </div>
    </div>
  );
}

/** What a person compares when a device warns, and how the warning goes away. */
function OwnCertificate({ fingerprint }: { readonly fingerprint: string }) {
  return (
    <div className={styles.note}>
      <p>{OWN_CERTIFICATE}</p>
      <p className={clsx(styles.fingerprint, textStyles.figure)}>{fingerprint.replaceAll(':', ' ')}</p>
      <p>{TRUST_IT}</p>
      <a href="/api/network/certificate" download>
        Download the certificate
      </a>
    </div>
  );
}
