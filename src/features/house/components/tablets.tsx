import type { TabletsPage } from '../tablets';
import * as texts from './texts';

/** How a tablet or phone comes to this kitchen. */
export const Tablets = ({ page: { address, welcome } }: { readonly page: TabletsPage }) => (
  <section aria-labelledby="tablets" className="mt-4">
    <h2 id="tablets">{texts.tabletsPhones}</h2>
    {address === undefined ? (
      <p>
        {texts.onlyComputerReachesKitchen} <b>{texts.halfpotStartHost0}</b> {texts.openTabletsNetworkHttps}
      </p>
    ) : (
      <p>
        {texts.kitchensNetwork} <b className="text-break">{address}</b>.
      </p>
    )}
    {welcome && (
      <>
        <p className="mb-1">
          {texts.newTabletOpensOnce}
          <br />
          <b className="text-break">{welcome.at}</b>
        </p>
        {/* eslint-disable-next-line @next/next/no-img-element -- drawn on the server, a few hundred bytes */}
        <img src={welcome.picture} alt={texts.addressScanned(welcome.at)} width={168} height={168} />
        <p className="small-line quiet mt-1">
          {texts.sha256CertificateGiven} <span className="text-break">{welcome.fingerprint}</span>
        </p>
      </>
    )}
  </section>
);
