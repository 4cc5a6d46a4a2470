CREATE TABLE `feed_items` (
	`article` text PRIMARY KEY NOT NULL,
	`item_id` integer NOT NULL,
	FOREIGN KEY (`item_id`) REFERENCES `items`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `feed_orders` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`reference` text NOT NULL,
	`order_id` integer,
	`digest` text NOT NULL,
	`content` text NOT NULL,
	`state` text NOT NULL,
	`problem` text DEFAULT '' NOT NULL,
	`file` text NOT NULL,
	`at_ms` integer NOT NULL,
	FOREIGN KEY (`order_id`) REFERENCES `orders`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `feed_orders_once` ON `feed_orders` (`reference`);--> statement-breakpoint
CREATE INDEX `feed_orders_by_time` ON `feed_orders` (`at_ms`);--> statement-breakpoint
CREATE INDEX `feed_orders_open` ON `feed_orders` (`at_ms`) WHERE "feed_orders"."state" in ('waiting', 'refused');