// A part of the page that rests: the server draws it, and what makes it answer is fetched when a hand comes near. A page
// that is only read needs none of it, and on a slow phone it stands there sooner. What is done meanwhile is held.

import { lazy, Suspense, useEffect, useState, type ComponentType } from 'react';
import { NEARINGS, onFirst } from './first-deed';
import { holdDeeds } from './held-deeds';
import { NotArrivedNotice } from './late';
import { makeFetch, type Load } from './part-fetch';
import { takeTypedEarly } from './typed-early';
import { hasDraft } from './use-draft';

const AT_REST = 'data-at-rest';
const IDLE_MS = 4000;
const SOON_MS = 1000;

const makeSignal = () => {
  let give = () => {};
  const given = new Promise<void>((resolve) => {
    give = resolve;
  });
  return { given, give: () => give() };
};

const nearing = makeSignal();
const answering = makeSignal();
let isResting = false;
let doAgain = (): Promise<void> => Promise.resolve();
let tellFailure: (again: () => void) => void = () => {};

/** What rests is fetched now. @returns settled when it answers; at once where nothing rests */
export async function wake(): Promise<void> {
  if (!isResting) return;
  nearing.give();
  await answering.given;
}

/** As `wake`, once the page stands there and the browser has nothing else to do: it works out what is missing yet. */
export function wakeSoon(): void {
  if (isResting) onceIdle(nearing.give, SOON_MS);
}

/** The page has stood there for so long, and there is time. */
function onceIdle(run: () => void, afterMs: number): void {
  const wait = () => setTimeout(() => ('requestIdleCallback' in window ? requestIdleCallback(run) : run()), afterMs);
  if (document.readyState === 'complete') wait();
  else addEventListener('load', wait, { once: true });
}

/** In the browser, once a page. */
function rest(): void {
  isResting = true;
  document.documentElement.setAttribute(AT_REST, '');
  // What is told over the page answers already.
  const isAtRest = (element: Element) => element.closest('#main') !== null && !element.closest('.over-page');
  doAgain = holdDeeds(isAtRest);
  onFirst(NEARINGS, nearing.give);
  // An address that asks for something particular, or something typed that is not saved: it shows by itself.
  if (location.search || location.hash || hasDraft()) nearing.give();
  // Who looks at it so long will touch it.
  onceIdle(nearing.give, IDLE_MS);
}

/** Asked for again until it arrives: meanwhile the page stands as the server drew it. */
async function fetchWhenNear<P>(fetchPart: Load<P>): ReturnType<Load<P>> {
  await nearing.given;
  for (;;)
    try {
      return await fetchPart();
    } catch {
      await new Promise<void>((again) => tellFailure(again));
    }
}

/**
 * The part as it stands in a page, one a page. Nothing around it may be drawn anew before it answers: React would put
 * the fallback in its place.
 */
export async function rests<P extends object>(load: Load<P>): Promise<ComponentType<P>> {
  const fetchPart = makeFetch(load);
  const Part = import.meta.env.SSR
    ? (await load()).default
    : (lazy(() => fetchWhenNear(fetchPart)) as unknown as ComponentType<P>);
  if (!import.meta.env.SSR) rest();
  return function Resting(props: P) {
    return (
      <>
        <RestNotice />
        <Suspense fallback={<p className="soft">One moment…</p>}>
          <Part {...props} />
          <Answering />
        </Suspense>
      </>
    );
  };
}

/** Drawn with the part: it answers from now on. */
function Answering() {
  useEffect(() => {
    isResting = false;
    document.documentElement.removeAttribute(AT_REST);
    takeTypedEarly(document);
    void doAgain().then(answering.give);
  }, []);
  return null;
}

/** Over the page, so that what was typed stays where it is. */
function RestNotice() {
  const [again, setAgain] = useState<(() => void) | null>(null);
  useEffect(() => {
    tellFailure = (run) => setAgain(() => run);
  }, []);
  if (!again) return null;
  const tryAgain = () => {
    setAgain(null);
    again();
  };
  return (
    <div className="over-page">
      <NotArrivedNotice onTryAgain={tryAgain} onClose={null} />
    </div>
  );
}
