/** The Content-Security-Policy of what is no page: files, answers to scripts, and the worker that keeps the stove's pages. */
export const PLAIN_POLICY = "default-src 'self'; object-src 'none'; base-uri 'none'; frame-ancestors 'none'";
