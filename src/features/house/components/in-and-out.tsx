/** The kitchen as a file that can be carried away. */
export const InAndOut = () => (
  <section aria-labelledby="in-and-out" className="mt-4">
    <h2 id="in-and-out">The kitchen as a file</h2>
    <p>
      Everything that stands here and has happened (prices, invoices, tests, recipes, plates), as one open
      file, without anybody’s password. Another kitchen can be begun from it.
    </p>
    <a className="btn btn-plain" href="/kitchen-file" download>
      Take it as a file
    </a>
  </section>
);
