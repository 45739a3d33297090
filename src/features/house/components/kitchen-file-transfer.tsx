/** The kitchen as a file that can be carried away. */
export const KitchenFileTransfer = () => (
  <section aria-labelledby="in-and-out" className="mt-4">
    <h2 id="in-and-out">Kitchen file</h2>
    <p>
      What stands here (prices, invoices, tests, recipes, dishes) as one open file, without anybody’s
      password. Another kitchen can be begun from it. With its history it also has every change, every
      version, the lists as they came and what is archived: for a house that moves.
    </p>
    <a className="btn btn-plain" href="/kitchen-file" download>
      Download the kitchen file
    </a>{' '}
    <a className="btn btn-plain" href="/kitchen-file?history" download>
      Download with history
    </a>
  </section>
);
