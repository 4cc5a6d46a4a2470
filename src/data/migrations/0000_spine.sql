CREATE TABLE `artwork_originals` (
	`artwork_id` integer PRIMARY KEY NOT NULL,
	`original` blob NOT NULL,
	FOREIGN KEY (`artwork_id`) REFERENCES `artworks`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `artworks` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`name` text NOT NULL,
	`file_name` text NOT NULL,
	`measurement` text NOT NULL,
	`layer_names` text NOT NULL,
	`picture` text NOT NULL,
	`left_out` text NOT NULL,
	`gradients` integer NOT NULL,
	`size_stated` integer NOT NULL,
	`original_bytes` integer NOT NULL,
	`created_at_ms` integer NOT NULL,
	`archived_at_ms` integer,
	`version` integer DEFAULT 1 NOT NULL
);
--> statement-breakpoint
CREATE INDEX `artworks_by_name` ON `artworks` (`name`);--> statement-breakpoint
CREATE TABLE `blank_colours` (
	`blank_id` integer NOT NULL,
	`position` integer NOT NULL,
	`name` text NOT NULL,
	`hex` text NOT NULL,
	PRIMARY KEY(`blank_id`, `position`),
	FOREIGN KEY (`blank_id`) REFERENCES `blanks`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `blank_colours_once` ON `blank_colours` (`blank_id`,`name`);--> statement-breakpoint
CREATE TABLE `blank_sizes` (
	`blank_id` integer NOT NULL,
	`position` integer NOT NULL,
	`name` text NOT NULL,
	`price` integer NOT NULL,
	PRIMARY KEY(`blank_id`, `position`),
	FOREIGN KEY (`blank_id`) REFERENCES `blanks`(`id`) ON UPDATE no action ON DELETE cascade,
	CONSTRAINT "blank_sizes_price" CHECK("blank_sizes"."price" >= 0)
);
--> statement-breakpoint
CREATE UNIQUE INDEX `blank_sizes_once` ON `blank_sizes` (`blank_id`,`name`);--> statement-breakpoint
CREATE TABLE `blanks` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`name` text NOT NULL,
	`supplier` text NOT NULL,
	`fabric` text NOT NULL,
	`heating` text NOT NULL,
	`archived_at_ms` integer,
	`version` integer DEFAULT 1 NOT NULL
);
--> statement-breakpoint
CREATE INDEX `blanks_by_name` ON `blanks` (`name`);--> statement-breakpoint
CREATE TABLE `customers` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`name` text NOT NULL,
	`contact` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `customers_once` ON `customers` (`name`);--> statement-breakpoint
CREATE TABLE `item_vinyls` (
	`item_id` integer NOT NULL,
	`layer_index` integer NOT NULL,
	`vinyl_id` integer NOT NULL,
	PRIMARY KEY(`item_id`, `layer_index`),
	FOREIGN KEY (`item_id`) REFERENCES `items`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`vinyl_id`) REFERENCES `vinyls`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `item_vinyls_by_vinyl` ON `item_vinyls` (`vinyl_id`);--> statement-breakpoint
CREATE TABLE `items` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`name` text NOT NULL,
	`blank_id` integer NOT NULL,
	`size_name` text NOT NULL,
	`colour_name` text NOT NULL,
	`artwork_id` integer NOT NULL,
	`placement` text NOT NULL,
	`width_mm` real NOT NULL,
	`seen_through` integer NOT NULL,
	`area_basis` text NOT NULL,
	`quantity` integer NOT NULL,
	`price` integer NOT NULL,
	`archived_at_ms` integer,
	`version` integer DEFAULT 1 NOT NULL,
	FOREIGN KEY (`blank_id`) REFERENCES `blanks`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`artwork_id`) REFERENCES `artworks`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "items_sound" CHECK("items"."quantity" >= 1 and "items"."price" >= 0 and "items"."width_mm" > 0)
);
--> statement-breakpoint
CREATE INDEX `items_by_name` ON `items` (`name`);--> statement-breakpoint
CREATE INDEX `items_by_artwork` ON `items` (`artwork_id`);--> statement-breakpoint
CREATE INDEX `items_by_blank` ON `items` (`blank_id`);--> statement-breakpoint
CREATE TABLE `order_events` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`order_id` integer NOT NULL,
	`kind` text NOT NULL,
	`at_ms` integer NOT NULL,
	`detail` text NOT NULL,
	FOREIGN KEY (`order_id`) REFERENCES `orders`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `order_events_by_order` ON `order_events` (`order_id`);--> statement-breakpoint
CREATE TABLE `order_lines` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`order_id` integer NOT NULL,
	`item_id` integer NOT NULL,
	`quantity` integer NOT NULL,
	`size_name` text NOT NULL,
	`colour_name` text NOT NULL,
	`quote` text NOT NULL,
	FOREIGN KEY (`order_id`) REFERENCES `orders`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`item_id`) REFERENCES `items`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "order_lines_quantity" CHECK("order_lines"."quantity" >= 1)
);
--> statement-breakpoint
CREATE INDEX `order_lines_by_order` ON `order_lines` (`order_id`);--> statement-breakpoint
CREATE INDEX `order_lines_by_item` ON `order_lines` (`item_id`);--> statement-breakpoint
CREATE TABLE `orders` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`customer_id` integer NOT NULL,
	`title` text NOT NULL,
	`due_day` text NOT NULL,
	`agreed` integer NOT NULL,
	`note` text NOT NULL,
	`placed_at_ms` integer NOT NULL,
	`closed_at_ms` integer,
	`version` integer DEFAULT 1 NOT NULL,
	FOREIGN KEY (`customer_id`) REFERENCES `customers`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "orders_agreed" CHECK("orders"."agreed" >= 0)
);
--> statement-breakpoint
CREATE INDEX `orders_open` ON `orders` (`due_day`) WHERE "orders"."closed_at_ms" is null;--> statement-breakpoint
CREATE INDEX `orders_closed` ON `orders` (`closed_at_ms`);--> statement-breakpoint
CREATE INDEX `orders_by_customer` ON `orders` (`customer_id`);--> statement-breakpoint
CREATE TABLE `part_events` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`part_id` integer NOT NULL,
	`kind` text NOT NULL,
	`at_ms` integer NOT NULL,
	`work_id` integer,
	`undoes` integer,
	`cause` text,
	`blank_lost` integer NOT NULL,
	FOREIGN KEY (`part_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`work_id`) REFERENCES `work`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "part_events_undo" CHECK(("part_events"."kind" = 'undone') = ("part_events"."undoes" is not null))
);
--> statement-breakpoint
CREATE INDEX `part_events_by_part` ON `part_events` (`part_id`);--> statement-breakpoint
CREATE TABLE `parts` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`unit_id` integer NOT NULL,
	`layer_index` integer NOT NULL,
	`vinyl_id` integer NOT NULL,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`vinyl_id`) REFERENCES `vinyls`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `parts_once` ON `parts` (`unit_id`,`layer_index`);--> statement-breakpoint
CREATE INDEX `parts_by_vinyl` ON `parts` (`vinyl_id`);--> statement-breakpoint
CREATE TABLE `shop` (
	`id` integer PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`currency` text NOT NULL,
	`locale` text NOT NULL,
	`time_zone` text NOT NULL,
	`simulated` integer NOT NULL,
	`figures` text NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	CONSTRAINT "one_shop" CHECK("shop"."id" = 1)
);
--> statement-breakpoint
CREATE TABLE `units` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`line_id` integer NOT NULL,
	`number` integer NOT NULL,
	FOREIGN KEY (`line_id`) REFERENCES `order_lines`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `units_by_line` ON `units` (`line_id`);--> statement-breakpoint
CREATE TABLE `vinyls` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`supplier` text NOT NULL,
	`colour_name` text NOT NULL,
	`colour_hex` text NOT NULL,
	`roll_width_mm` real NOT NULL,
	`roll_length_mm` real NOT NULL,
	`roll_price` integer NOT NULL,
	`weeding_factor` real NOT NULL,
	`press_low_c` real,
	`press_high_c` real,
	`press_seconds` real,
	`press_pressure` text,
	`press_peel` text,
	`archived_at_ms` integer,
	`version` integer DEFAULT 1 NOT NULL,
	CONSTRAINT "vinyls_roll" CHECK("vinyls"."roll_width_mm" > 0 and "vinyls"."roll_length_mm" > 0 and "vinyls"."roll_price" >= 0),
	CONSTRAINT "vinyls_press_whole" CHECK(("vinyls"."press_low_c" is null) = ("vinyls"."press_high_c" is null) and ("vinyls"."press_low_c" is null) = ("vinyls"."press_seconds" is null) and ("vinyls"."press_low_c" is null) = ("vinyls"."press_pressure" is null) and ("vinyls"."press_low_c" is null) = ("vinyls"."press_peel" is null))
);
--> statement-breakpoint
CREATE INDEX `vinyls_by_name` ON `vinyls` (`name`);--> statement-breakpoint
CREATE TABLE `work` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`station` text NOT NULL,
	`started_at_ms` integer NOT NULL,
	`stopped_at_ms` integer,
	`outcome` text,
	CONSTRAINT "work_ended_whole" CHECK(("work"."stopped_at_ms" is null) = ("work"."outcome" is null))
);
--> statement-breakpoint
CREATE UNIQUE INDEX `work_running_once` ON `work` (`station`) WHERE "work"."stopped_at_ms" is null;--> statement-breakpoint
CREATE INDEX `work_by_start` ON `work` (`started_at_ms`);--> statement-breakpoint
CREATE TABLE `work_parts` (
	`work_id` integer NOT NULL,
	`part_id` integer NOT NULL,
	`estimate_seconds` real NOT NULL,
	PRIMARY KEY(`work_id`, `part_id`),
	FOREIGN KEY (`work_id`) REFERENCES `work`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`part_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `work_parts_by_part` ON `work_parts` (`part_id`);