// The rooms of the shelf.

const ROOMS = [
  ['/shelf', 'Vinyls and blanks'],
  ['/shelf/stock', 'Stock and offcuts'],
  ['/shelf/supplies', 'Supplies'],
  ['/shelf/recipes', 'Recipes'],
  ['/shelf/offers', 'Suppliers and offers'],
  ['/shelf/buy', 'What to buy'],
] as const;

export function ShelfTabs({ current }: { current: (typeof ROOMS)[number][0] }) {
  return (
    <nav className="rooms" aria-label="Shelf">
      {ROOMS.map(([href, name]) => (
        <a key={href} href={href} aria-current={href === current ? 'page' : undefined}>
          {name}
        </a>
      ))}
    </nav>
  );
}
