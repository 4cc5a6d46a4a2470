// The rooms of orders: the orders themselves, for whom they are, and what is owed.

const ROOMS = [
  ['/orders', 'Orders'],
  ['/customers', 'Customers'],
  ['/orders/owed', 'Owed'],
  ['/orders/stall', 'Stall'],
  ['/orders/feed', 'Feed'],
] as const;

export function OrderRooms({ current }: { readonly current: (typeof ROOMS)[number][0] }) {
  return (
    <nav className="rooms" aria-label="Orders and customers">
      {ROOMS.map(([href, name]) => (
        <a key={href} href={href} aria-current={href === current ? 'page' : undefined}>
          {name}
        </a>
      ))}
    </nav>
  );
}
