UPDATE `stock_lines` SET `session_id` = NULL WHERE `session_id` NOT IN (SELECT `id` FROM `work_sessions`);--> statement-breakpoint
UPDATE `supply_wear` SET `session_id` = NULL WHERE `session_id` NOT IN (SELECT `id` FROM `work_sessions`);--> statement-breakpoint
UPDATE `lots` SET `from_lot_id` = NULL WHERE `from_lot_id` NOT IN (SELECT `id` FROM `lots`);--> statement-breakpoint
CREATE TABLE `__new_lots` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`key` text NOT NULL,
	`form` text NOT NULL,
	`width_mm` real,
	`length_mm` real,
	`shape` text,
	`spoiled_spots` text DEFAULT '[]' NOT NULL,
	`code` text,
	`received_at_ms` integer NOT NULL,
	`unit_cost` real NOT NULL,
	`supplier_id` integer,
	`from_lot_id` integer,
	`remark` text DEFAULT '' NOT NULL,
	`left` real DEFAULT 0 NOT NULL,
	FOREIGN KEY (`supplier_id`) REFERENCES `suppliers`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`from_lot_id`) REFERENCES `lots`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "lots_never_negative" CHECK("__new_lots"."left" >= 0)
);
--> statement-breakpoint
INSERT INTO `__new_lots`("id", "key", "form", "width_mm", "length_mm", "shape", "spoiled_spots", "code", "received_at_ms", "unit_cost", "supplier_id", "from_lot_id", "remark", "left") SELECT "id", "key", "form", "width_mm", "length_mm", "shape", "spoiled_spots", "code", "received_at_ms", "unit_cost", "supplier_id", "from_lot_id", "remark", "left" FROM `lots`;--> statement-breakpoint
DROP TABLE `lots`;--> statement-breakpoint
ALTER TABLE `__new_lots` RENAME TO `lots`;--> statement-breakpoint
CREATE INDEX `lots_by_key` ON `lots` (`key`);--> statement-breakpoint
CREATE INDEX `lots_by_source` ON `lots` (`from_lot_id`) WHERE "lots"."from_lot_id" is not null;--> statement-breakpoint
CREATE INDEX `lots_on_shelf` ON `lots` (`key`) WHERE "lots"."left" > 0;--> statement-breakpoint
CREATE UNIQUE INDEX `lots_code_once` ON `lots` (`code`) WHERE "lots"."code" is not null and "lots"."left" > 0;--> statement-breakpoint
CREATE TABLE `__new_part_events` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`part_id` integer NOT NULL,
	`kind` text NOT NULL,
	`at_ms` integer NOT NULL,
	`session_id` integer,
	`undoes` integer,
	`cause` text,
	`blank_lost` integer NOT NULL,
	`vinyl_cost` real,
	FOREIGN KEY (`part_id`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`session_id`) REFERENCES `work_sessions`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`undoes`) REFERENCES `part_events`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "part_events_undo" CHECK(("__new_part_events"."kind" = 'undone') = ("__new_part_events"."undoes" is not null))
);
--> statement-breakpoint
INSERT INTO `__new_part_events`("id", "part_id", "kind", "at_ms", "session_id", "undoes", "cause", "blank_lost", "vinyl_cost") SELECT "id", "part_id", "kind", "at_ms", "session_id", "undoes", "cause", "blank_lost", "vinyl_cost" FROM `part_events`;--> statement-breakpoint
DROP TABLE `part_events`;--> statement-breakpoint
ALTER TABLE `__new_part_events` RENAME TO `part_events`;--> statement-breakpoint
CREATE INDEX `part_events_by_part` ON `part_events` (`part_id`);--> statement-breakpoint
CREATE INDEX `part_events_by_session` ON `part_events` (`session_id`) WHERE "part_events"."session_id" is not null;--> statement-breakpoint
CREATE INDEX `part_events_undone` ON `part_events` (`undoes`) WHERE "part_events"."undoes" is not null;--> statement-breakpoint
CREATE TABLE `__new_supply_wear` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`supply_id` integer NOT NULL,
	`at_ms` integer NOT NULL,
	`kind` text NOT NULL,
	`amount` real NOT NULL,
	`session_id` integer,
	FOREIGN KEY (`supply_id`) REFERENCES `supplies`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`session_id`) REFERENCES `work_sessions`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "supply_wear_sound" CHECK("__new_supply_wear"."amount" >= 0)
);
--> statement-breakpoint
INSERT INTO `__new_supply_wear`("id", "supply_id", "at_ms", "kind", "amount", "session_id") SELECT "id", "supply_id", "at_ms", "kind", "amount", "session_id" FROM `supply_wear`;--> statement-breakpoint
DROP TABLE `supply_wear`;--> statement-breakpoint
ALTER TABLE `__new_supply_wear` RENAME TO `supply_wear`;--> statement-breakpoint
CREATE INDEX `supply_wear_by_supply` ON `supply_wear` (`supply_id`,`id`);--> statement-breakpoint
CREATE INDEX `supply_wear_by_session` ON `supply_wear` (`session_id`) WHERE "supply_wear"."session_id" is not null;--> statement-breakpoint
CREATE TABLE `__new_stock_lines` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`lot_id` integer NOT NULL,
	`at_ms` integer NOT NULL,
	`cause` text NOT NULL,
	`quantity` real NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`session_id` integer,
	FOREIGN KEY (`lot_id`) REFERENCES `lots`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`session_id`) REFERENCES `work_sessions`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_stock_lines`("id", "lot_id", "at_ms", "cause", "quantity", "note", "session_id") SELECT "id", "lot_id", "at_ms", "cause", "quantity", "note", "session_id" FROM `stock_lines`;--> statement-breakpoint
DROP TABLE `stock_lines`;--> statement-breakpoint
ALTER TABLE `__new_stock_lines` RENAME TO `stock_lines`;--> statement-breakpoint
CREATE INDEX `stock_lines_by_session` ON `stock_lines` (`session_id`) WHERE "stock_lines"."session_id" is not null;--> statement-breakpoint
CREATE INDEX `stock_lines_by_lot` ON `stock_lines` (`lot_id`);--> statement-breakpoint
CREATE INDEX `stock_lines_by_time` ON `stock_lines` (`at_ms`,`cause`,`lot_id`,`quantity`);