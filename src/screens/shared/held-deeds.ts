// What is done to a part of the page that does not answer yet. It is held, and done again once the part does: no click
// is lost, and none is made twice.

const PRESS = ['pointerdown', 'mousedown'] as const;
const RELEASE = ['pointerup', 'mouseup', 'click'] as const;
const TYPED_INTO = 'input:not([type=checkbox], [type=radio], [type=button], [type=submit]), textarea, select';
const TICKED = 'input[type=checkbox], input[type=radio]';

const asElement = (target: EventTarget | null): Element | null => (target instanceof Element ? target : null);

/**
 * @param isAtRest whether an element belongs to what does not answer yet
 * @returns called when it answers: does again what was held, in its order
 */
export function holdDeeds(isAtRest: (element: Element) => boolean): () => Promise<void> {
  const held: (() => unknown)[] = [];
  const onClick = (event: MouseEvent) => {
    const element = asElement(event.target);
    if (!element || !isAtRest(element) || answersByItself(element)) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    held.push(() => clickAgain(element));
  };
  const onKey = (event: KeyboardEvent) => {
    const element = asElement(event.target);
    if (!element || element.matches(TYPED_INTO)) return;
    // A key pressed while nothing has the focus is for the whole page.
    if (!isAtRest(element) && element !== document.body) return;
    // A key that the frame answers to is answered; what is left is for the part.
    setTimeout(() => {
      if (!event.defaultPrevented) held.push(() => element.dispatchEvent(new KeyboardEvent('keydown', toInit(event))));
    });
  };
  // A file or a text that is dropped or pasted: it is only there while it is.
  const onCarried = (event: ClipboardEvent | DragEvent) => {
    const element = asElement(event.target);
    const isDrop = event instanceof DragEvent;
    if (!element || (isDrop ? !isAtRest(element) : element.matches(TYPED_INTO))) return;
    event.preventDefault();
    const data = copyCarried(isDrop ? event.dataTransfer : event.clipboardData);
    const init = { bubbles: true, cancelable: true };
    held.push(() =>
      element.dispatchEvent(
        isDrop
          ? new DragEvent('drop', { ...init, dataTransfer: data })
          : new ClipboardEvent('paste', { ...init, clipboardData: data }),
      ),
    );
  };
  // Else the browser leaves the page for what is dropped on it.
  const onDragOver = (event: DragEvent) => event.preventDefault();
  const waiting = new AbortController();
  // Ahead of React, which lets nothing through that is meant for a part at rest.
  const ahead = { capture: true, signal: waiting.signal } as const;
  addEventListener('paste', onCarried, ahead);
  addEventListener('drop', onCarried, ahead);
  addEventListener('dragover', onDragOver, ahead);
  addEventListener('click', onClick, ahead);
  addEventListener('keydown', onKey, ahead);
  return async () => {
    waiting.abort();
    for (const again of held) {
      await nextTask();
      await again();
    }
  };
}

function copyCarried(from: DataTransfer | null): DataTransfer {
  const copy = new DataTransfer();
  for (const type of from?.types ?? []) if (type !== 'Files') copy.setData(type, from!.getData(type));
  for (const file of from?.files ?? []) copy.items.add(file);
  return copy;
}

/** A link leads on, a field takes the cursor and the letters, a box is ticked: that is taken over later. */
function answersByItself(element: Element): boolean {
  const labelled = element.closest('label')?.control ?? element;
  return element.closest('a[href]') !== null || element.matches(TYPED_INTO) || labelled.matches(TICKED);
}

const nextTask = (): Promise<void> => new Promise((run) => setTimeout(run));

/** Of a click that was held the press before it went unheard too; some parts answer to that. */
async function clickAgain(element: Element): Promise<void> {
  if (!element.isConnected) return;
  const { left, top, width, height } = element.getBoundingClientRect();
  const init = { bubbles: true, cancelable: true, view: window, clientX: left + width / 2, clientY: top + height / 2 };
  const send = (kind: string) =>
    element.dispatchEvent(new (kind.startsWith('pointer') ? PointerEvent : MouseEvent)(kind, init));
  PRESS.forEach(send);
  const control = element.closest('button, label, input, summary, [tabindex]');
  if (control instanceof HTMLElement) control.focus();
  await nextTask();
  RELEASE.forEach(send);
}

const toInit = ({ key, code, ctrlKey, altKey, shiftKey, metaKey }: KeyboardEvent): KeyboardEventInit => ({
  key,
  code,
  ctrlKey,
  altKey,
  shiftKey,
  metaKey,
  bubbles: true,
  cancelable: true,
});
