CREATE TABLE `letterings` (
	`key` text PRIMARY KEY NOT NULL,
	`artwork_id` integer NOT NULL,
	`fit` text NOT NULL,
	FOREIGN KEY (`artwork_id`) REFERENCES `artworks`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `payments` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`order_id` integer NOT NULL,
	`kind` text NOT NULL,
	`amount` integer NOT NULL,
	`means` text NOT NULL,
	`at_ms` integer NOT NULL,
	`taken_back_at_ms` integer,
	FOREIGN KEY (`order_id`) REFERENCES `orders`(`id`) ON UPDATE no action ON DELETE cascade,
	CONSTRAINT "payments_amount" CHECK("payments"."amount" > 0)
);
--> statement-breakpoint
CREATE INDEX `payments_by_order` ON `payments` (`order_id`);--> statement-breakpoint
CREATE TABLE `proofs` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`order_id` integer NOT NULL,
	`number` integer NOT NULL,
	`content` text NOT NULL,
	`token` text NOT NULL,
	`at_ms` integer NOT NULL,
	`approved_at_ms` integer,
	`approved_by` text,
	FOREIGN KEY (`order_id`) REFERENCES `orders`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `proofs_once` ON `proofs` (`order_id`,`number`);--> statement-breakpoint
CREATE UNIQUE INDEX `proofs_by_token` ON `proofs` (`token`);--> statement-breakpoint
CREATE TABLE `rosters` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`source` text NOT NULL,
	`at_ms` integer NOT NULL
);
--> statement-breakpoint
DROP INDEX `customers_once`;--> statement-breakpoint
ALTER TABLE `customers` ADD `address` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `customers` ADD `note` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `customers` ADD `archived_at_ms` integer;--> statement-breakpoint
ALTER TABLE `customers` ADD `version` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
CREATE INDEX `customers_by_name` ON `customers` (`name`);--> statement-breakpoint
ALTER TABLE `artworks` ADD `lettered` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `item_placements` ADD `lettering` text;--> statement-breakpoint
ALTER TABLE `order_events` ADD `undoes` integer REFERENCES order_events(id);--> statement-breakpoint
ALTER TABLE `order_lines` ADD `texts` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `order_lines` ADD `words` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `order_lines` ADD `note` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `order_lines` ADD `options` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `order_lines` ADD `roster_id` integer REFERENCES rosters(id);--> statement-breakpoint
ALTER TABLE `order_lines` ADD `roster_row` integer;--> statement-breakpoint
ALTER TABLE `order_lines` ADD `read_back_at_ms` integer;--> statement-breakpoint
CREATE INDEX `order_lines_by_words` ON `order_lines` (`words`) WHERE "order_lines"."words" <> '';--> statement-breakpoint
ALTER TABLE `orders` ADD `standing` text DEFAULT 'open' NOT NULL;--> statement-breakpoint
ALTER TABLE `orders` ADD `deposit` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `orders` ADD `paid` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
CREATE INDEX `orders_owed` ON `orders` (`due_day`) WHERE "orders"."standing" in ('open', 'handed-over') and "orders"."paid" < "orders"."agreed";--> statement-breakpoint
ALTER TABLE `pieces` ADD `gone` text;--> statement-breakpoint
UPDATE `orders` SET `standing` = CASE (
	SELECT `kind` FROM `order_events`
	WHERE `order_id` = `orders`.`id` AND `kind` IN ('handed-over', 'taken-back', 'cancelled', 'reopened')
	ORDER BY `id` DESC LIMIT 1
) WHEN 'handed-over' THEN 'closed' WHEN 'cancelled' THEN 'cancelled' ELSE 'open' END;--> statement-breakpoint
-- What was handed over before payments were kept is taken as paid, and said so.
INSERT INTO `payments` (`order_id`, `kind`, `amount`, `means`, `at_ms`)
SELECT `id`, 'payment', `agreed`, 'before payments were kept', `closed_at_ms` FROM `orders`
WHERE `standing` = 'closed' AND `agreed` > 0 AND `closed_at_ms` IS NOT NULL;--> statement-breakpoint
INSERT INTO `order_events` (`order_id`, `kind`, `at_ms`, `detail`)
SELECT `id`, 'closed', coalesce(`closed_at_ms`, `placed_at_ms`), 'taken as paid: from before payments were kept' FROM `orders`
WHERE `standing` = 'closed';--> statement-breakpoint
UPDATE `orders` SET `paid` = `agreed` WHERE `standing` = 'closed';
