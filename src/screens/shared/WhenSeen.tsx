// A part far down the page that takes long to work out or to load: only once it is scrolled near to.

import { startTransition, useEffect, useRef, useState, type ReactNode } from 'react';
import { flushSync } from 'react-dom';

/** So far ahead of it that hardly anybody sees it come. */
const AHEAD = '300px';

export function WhenSeen({ children }: { readonly children: ReactNode }) {
  const [seen, setSeen] = useState(false);
  const place = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (seen || !place.current) return;
    const observer = new IntersectionObserver(
      (entries) => entries.some((entry) => entry.isIntersecting) && startTransition(() => setSeen(true)),
      { rootMargin: AHEAD },
    );
    observer.observe(place.current);
    // On paper everything is seen.
    const print = () => flushSync(() => setSeen(true));
    window.addEventListener('beforeprint', print);
    return () => {
      observer.disconnect();
      window.removeEventListener('beforeprint', print);
    };
  }, [seen]);
  return seen ? children : <div ref={place} className="not-seen-yet" aria-hidden />;
}
