import * as texts from './texts';
/** The kitchen as a file that can be carried away. */
export const KitchenFileTransfer = () => (
  <section aria-labelledby="in-and-out" className="mt-4">
    <h2 id="in-and-out">{texts.kitchenFile}</h2>
    <p>{texts.everythingHerePricesInvoices}</p>
    <a className="btn btn-plain" href="/kitchen-file" download>
      {texts.downloadKitchenFile}
    </a>{' '}
    <a className="btn btn-plain" href="/kitchen-file?history" download>
      {texts.downloadHistory}
    </a>
  </section>
);
