CREATE TABLE `lots` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`key` text NOT NULL,
	`form` text NOT NULL,
	`width_mm` real,
	`length_mm` real,
	`shape` text,
	`code` text,
	`received_at_ms` integer NOT NULL,
	`unit_cost` real NOT NULL,
	`supplier_id` integer,
	`from_lot_id` integer,
	`remark` text DEFAULT '' NOT NULL,
	`left` real DEFAULT 0 NOT NULL,
	FOREIGN KEY (`supplier_id`) REFERENCES `suppliers`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "lots_never_negative" CHECK("lots"."left" >= 0)
);
--> statement-breakpoint
CREATE INDEX `lots_by_key` ON `lots` (`key`);--> statement-breakpoint
CREATE INDEX `lots_on_shelf` ON `lots` (`key`) WHERE "lots"."left" > 0;--> statement-breakpoint
CREATE UNIQUE INDEX `lots_code_once` ON `lots` (`code`) WHERE "lots"."code" is not null and "lots"."left" > 0;--> statement-breakpoint
CREATE TABLE `minimums` (
	`key` text PRIMARY KEY NOT NULL,
	`amount` real NOT NULL,
	CONSTRAINT "minimums_sound" CHECK("minimums"."amount" > 0)
);
--> statement-breakpoint
CREATE TABLE `offer_breaks` (
	`offer_id` integer NOT NULL,
	`from_packs` integer NOT NULL,
	`price` integer NOT NULL,
	PRIMARY KEY(`offer_id`, `from_packs`),
	FOREIGN KEY (`offer_id`) REFERENCES `offers`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `offer_parts` (
	`offer_id` integer NOT NULL,
	`position` integer NOT NULL,
	`key` text,
	`label` text NOT NULL,
	`count` integer NOT NULL,
	`width_mm` real,
	`length_mm` real,
	PRIMARY KEY(`offer_id`, `position`),
	FOREIGN KEY (`offer_id`) REFERENCES `offers`(`id`) ON UPDATE no action ON DELETE cascade,
	CONSTRAINT "offer_parts_count" CHECK("offer_parts"."count" >= 1)
);
--> statement-breakpoint
CREATE INDEX `offer_parts_by_key` ON `offer_parts` (`key`);--> statement-breakpoint
CREATE TABLE `offer_prices` (
	`offer_id` integer NOT NULL,
	`at_ms` integer NOT NULL,
	`price` integer NOT NULL,
	PRIMARY KEY(`offer_id`, `at_ms`),
	FOREIGN KEY (`offer_id`) REFERENCES `offers`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `offers` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`supplier_id` integer NOT NULL,
	`code` text NOT NULL,
	`name` text NOT NULL,
	`price` integer NOT NULL,
	`take_count` integer,
	`pay_count` integer,
	`priced_at_ms` integer NOT NULL,
	`archived_at_ms` integer,
	`version` integer DEFAULT 1 NOT NULL,
	FOREIGN KEY (`supplier_id`) REFERENCES `suppliers`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "offers_sound" CHECK("offers"."price" >= 0 and ("offers"."take_count" is null) = ("offers"."pay_count" is null))
);
--> statement-breakpoint
CREATE UNIQUE INDEX `offers_once` ON `offers` (`supplier_id`,`code`);--> statement-breakpoint
CREATE INDEX `offers_by_name` ON `offers` (`name`);--> statement-breakpoint
CREATE TABLE `purchase_lines` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`purchase_id` integer NOT NULL,
	`offer_id` integer NOT NULL,
	`packs` integer NOT NULL,
	`goods` integer NOT NULL,
	`received_packs` integer DEFAULT 0 NOT NULL,
	`damaged_packs` integer DEFAULT 0 NOT NULL,
	FOREIGN KEY (`purchase_id`) REFERENCES `purchases`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`offer_id`) REFERENCES `offers`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "purchase_lines_sound" CHECK("purchase_lines"."packs" >= 1 and "purchase_lines"."received_packs" >= 0 and "purchase_lines"."damaged_packs" >= 0)
);
--> statement-breakpoint
CREATE INDEX `purchase_lines_by_purchase` ON `purchase_lines` (`purchase_id`);--> statement-breakpoint
CREATE TABLE `purchases` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`supplier_id` integer NOT NULL,
	`placed_at_ms` integer NOT NULL,
	`shipping` integer NOT NULL,
	`closed_at_ms` integer,
	`version` integer DEFAULT 1 NOT NULL,
	FOREIGN KEY (`supplier_id`) REFERENCES `suppliers`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `purchases_open` ON `purchases` (`placed_at_ms`) WHERE "purchases"."closed_at_ms" is null;--> statement-breakpoint
CREATE TABLE `stock_lines` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`lot_id` integer NOT NULL,
	`at_ms` integer NOT NULL,
	`cause` text NOT NULL,
	`quantity` real NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	FOREIGN KEY (`lot_id`) REFERENCES `lots`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `stock_lines_by_lot` ON `stock_lines` (`lot_id`);--> statement-breakpoint
CREATE INDEX `stock_lines_by_time` ON `stock_lines` (`at_ms`);--> statement-breakpoint
CREATE TABLE `suppliers` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`name` text NOT NULL,
	`email` text DEFAULT '' NOT NULL,
	`shipping` integer NOT NULL,
	`free_from` integer,
	`minimum_order` integer,
	`lead_days` integer NOT NULL,
	`list_file` text,
	`archived_at_ms` integer,
	`version` integer DEFAULT 1 NOT NULL,
	CONSTRAINT "suppliers_sound" CHECK("suppliers"."shipping" >= 0 and "suppliers"."lead_days" >= 0)
);
--> statement-breakpoint
CREATE UNIQUE INDEX `suppliers_once` ON `suppliers` (`name`);