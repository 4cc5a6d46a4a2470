// The keys of a screen: bound once, listed in the help sheet. Letters do nothing while something is being typed.

import { createContext, useContext, useEffect, useRef, type RefObject } from 'react';
import { tinykeys } from 'tinykeys';

export type KeyBinding = {
  readonly keys: string;
  readonly shown: string;
  readonly does: string;
  readonly run: () => void;
  readonly whileTyping?: boolean;
};
export const KeyListContext = createContext<RefObject<Map<string, readonly KeyBinding[]>> | null>(null);

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable ||
    /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) ||
    target.closest('[role=listbox], [role=dialog], [role=menu]') !== null);

/** Space and Enter belong to the control that has the focus: on a button they press that, and nothing else. */
const pressesControl = ({ key, target }: KeyboardEvent): boolean =>
  (key === ' ' || key === 'Enter') &&
  target instanceof HTMLElement &&
  target.closest('button, a[href], summary, label, [role=button], [role=checkbox], [role=tab]') !== null;

export function useKeys(group: string, bindings: readonly KeyBinding[]): void {
  const latest = useRef(bindings);
  latest.current = bindings;
  const list = useContext(KeyListContext);
  const signature = bindings.map((binding) => binding.keys).join(' | ');
  useEffect(() => {
    const listed = list?.current;
    listed?.set(group, latest.current);
    const handlers = Object.fromEntries(
      latest.current.map((binding, index) => [
        binding.keys,
        (event: KeyboardEvent) => {
          if (pressesControl(event) || (!binding.whileTyping && isTyping(event.target))) return;
          event.preventDefault();
          latest.current[index]?.run();
        },
      ]),
    );
    const unbind = tinykeys(window, handlers);
    return () => {
      unbind();
      listed?.delete(group);
    };
  }, [group, list, signature]);
}
