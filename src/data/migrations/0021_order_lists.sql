CREATE INDEX `orders_closed_by_due` ON `orders` (`due_day`) WHERE "orders"."closed_at_ms" is not null;--> statement-breakpoint
CREATE INDEX `orders_closed_by_title` ON `orders` (`title`) WHERE "orders"."closed_at_ms" is not null;--> statement-breakpoint
CREATE INDEX `orders_closed_by_agreed` ON `orders` (`agreed`) WHERE "orders"."closed_at_ms" is not null;