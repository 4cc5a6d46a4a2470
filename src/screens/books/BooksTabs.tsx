// The rooms of the books.

const ROOMS = [
  ['/books', 'Price list'],
  ['/books/hours', 'Hours and spoilage'],
  ['/books/start', 'Start-up and break-even'],
] as const;

export function BooksTabs({ current }: { current: (typeof ROOMS)[number][0] }) {
  return (
    <nav className="rooms" aria-label="Books">
      {ROOMS.map(([href, name]) => (
        <a key={href} href={href} aria-current={href === current ? 'page' : undefined}>
          {name}
        </a>
      ))}
    </nav>
  );
}
