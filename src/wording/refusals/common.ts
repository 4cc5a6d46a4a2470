// Refusals of any request: what is missing, what was changed meanwhile, what cannot be read.

export const COMMON = {
  'not-here': ({ what }: { what: string }) =>
    `${what} is not here. It may have been archived in another window: go back to the list.`,
  'changed-meanwhile': ({ what }: { what: string }) =>
    `${what} was changed in another window meanwhile. Your entries are still here: note them, reload, and enter them again.`,
  'person-here': ({ name }: { name: string }) =>
    `${name} is on the list already. Two of the same name are told apart by a second one.`,
  'other-site': () => 'This change came from another site and was not made. Open Chiral itself and try there.',
  'unknown-host': ({ host }: { host: string }) =>
    `Chiral does not answer under the name “${host}”. Open it as localhost, or name that host when it is started: CHIRAL_HOSTS=${host.replace(/:\d+$/, '') || 'name'}`,
  'wrong-method': ({ method }: { method: string }) =>
    `This address does not take ${method}. What each one takes is listed in docs/architecture.md.`,
  'no-such-address': () =>
    'There is nothing at this address. The addresses that answer are listed in docs/architecture.md.',
  'queue-full': ({ waiting }: { waiting: number }) =>
    `Chiral is busy with much at once, and ${waiting} wait already. Nothing was changed: try again in a minute.`,
  'thread-died': () =>
    'What worked on this broke off. Nothing was changed: try it once more; if it breaks off again, ask for less at once.',
  stopped: () => 'Stopped. Nothing was changed.',
  'costs-too-slow': () =>
    'What the items cost takes too long to calculate. Show the list by name, and try again later.',
  'paper-too-slow': () => 'This paper takes too long to print. Print fewer pages at once.',
  'body-too-large': ({ limitBytes }: { limitBytes: number }) =>
    `That is more than ${(limitBytes / 1024 / 1024).toFixed(0)} MB. Send less at once.`,
  'not-json': () => 'The request is not JSON. Send it as application/json.',
  /** Chiral's own fault, and the only answer of status 500. */
  failed: () =>
    'Something went wrong in Chiral itself. Nothing was changed; try again, and look at the log of the server if it stays.',
  /** What a check of the form said; its sentence names the field already. */
  'bad-field': ({ message }: { message: string }) => message,
  'created-before': () =>
    'An earlier try of this came through, with other entries. Look at the list before you send it again: it may be there already.',
  'key-too-long': ({ limit }: { limit: number }) => `The key of a request has up to ${limit} characters.`,
  'field-missing': ({ field }: { field: string }) =>
    `${field}: it is missing. Fill it in; if the page has no such field, reload it and try again.`,
  'field-wrong': ({ field }: { field: string }) =>
    `${field}: that is not what belongs there. Reload the page and try again.`,
  'bad-shape': () => 'What was sent does not have the shape that belongs here. Reload the page and try again.',
  'too-deep': ({ limit }: { limit: number }) => `What was sent is nested more than ${limit} deep. Send it flatter.`,
  'name-taken': ({ what, name }: { what: string; name: string }) =>
    `There is a ${what} called “${name}” already. Give this one another name.`,
  'currency-asks': ({ from, to }: { from: string; to: string }) =>
    `All prices in the book are in ${from}. Say what becomes of them in ${to}: the numbers stay, or they are converted.`,
  'thing-archived': () => 'Thing: it is not on the shelf any more. Choose another.',
  'vinyl-archived': () => 'Vinyl: it is not on the shelf any more. Choose another.',
};
