import type { TabletsPage } from '../tablets';

/** How a tablet or phone comes to this kitchen. */
export const Tablets = ({ page: { address, welcome } }: { readonly page: TabletsPage }) => (
  <section aria-labelledby="tablets" className="mt-4">
    <h2 id="tablets">Tablets and phones</h2>
    {address === undefined ? (
      <p>
        Only this computer reaches the kitchen. Started with <b>./halfpot start --host 0.0.0.0</b> it is open
        to the tablets of its network, by https.
      </p>
    ) : (
      <p>
        In the kitchen’s network it is at <b className="text-break">{address}</b>.
      </p>
    )}
    {welcome && (
      <>
        <p className="mb-1">
          A new tablet opens this once, and is told how to trust this computer:
          <br />
          <b className="text-break">{welcome.at}</b>
        </p>
        {/* eslint-disable-next-line @next/next/no-img-element -- drawn on the server, a few hundred bytes */}
        <img src={welcome.picture} alt={`The address ${welcome.at} to be scanned`} width={168} height={168} />
        <p className="small-line quiet mt-1">
          SHA-256 of the certificate it is given: <span className="text-break">{welcome.fingerprint}</span>
        </p>
      </>
    )}
  </section>
);
