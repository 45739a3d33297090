import { useEffect } from 'react';

/** What stands typed on the page and is not kept. */
const unkept = new Set<object>();

/** Whether anything stands typed here that would be lost if the page began anew. */
export const anyUnkept = (): boolean => unkept.size > 0;

/** Says that something typed is not kept yet: whoever leaves the page is asked, and it does not begin anew meanwhile. */
export function useUnkept(is: boolean): void {
  useEffect(() => {
    if (!is) return;
    const here = {};
    const ask = (event: BeforeUnloadEvent): void => event.preventDefault();
    unkept.add(here);
    window.addEventListener('beforeunload', ask);
    return () => {
      unkept.delete(here);
      window.removeEventListener('beforeunload', ask);
    };
  }, [is]);
}
