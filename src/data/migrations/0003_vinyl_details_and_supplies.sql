CREATE TABLE `supplies` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`supplier` text NOT NULL,
	`width_mm` real,
	`tack` text,
	`angle_degrees` real,
	`life` real,
	`note` text DEFAULT '' NOT NULL,
	`archived_at_ms` integer,
	`version` integer DEFAULT 1 NOT NULL,
	CONSTRAINT "supplies_life" CHECK("supplies"."life" is null or "supplies"."life" > 0)
);
--> statement-breakpoint
CREATE INDEX `supplies_by_name` ON `supplies` (`name`);--> statement-breakpoint
CREATE TABLE `supply_wear` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`supply_id` integer NOT NULL,
	`at_ms` integer NOT NULL,
	`kind` text NOT NULL,
	`amount` real NOT NULL,
	`work_id` integer,
	FOREIGN KEY (`supply_id`) REFERENCES `supplies`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "supply_wear_sound" CHECK("supply_wear"."amount" >= 0)
);
--> statement-breakpoint
CREATE INDEX `supply_wear_by_supply` ON `supply_wear` (`supply_id`,`id`);--> statement-breakpoint
PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_minimums` (
	`key` text PRIMARY KEY NOT NULL,
	`amount` real,
	`cover_weeks` real,
	CONSTRAINT "minimums_sound" CHECK(("__new_minimums"."amount" is not null or "__new_minimums"."cover_weeks" is not null) and coalesce("__new_minimums"."amount", 1) > 0 and coalesce("__new_minimums"."cover_weeks", 1) > 0)
);
--> statement-breakpoint
INSERT INTO `__new_minimums`("key", "amount", "cover_weeks") SELECT "key", "amount", null FROM `minimums`;--> statement-breakpoint
DROP TABLE `minimums`;--> statement-breakpoint
ALTER TABLE `__new_minimums` RENAME TO `minimums`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
DROP INDEX `stock_lines_by_time`;--> statement-breakpoint
ALTER TABLE `stock_lines` ADD `work_id` integer;--> statement-breakpoint
CREATE INDEX `stock_lines_by_work` ON `stock_lines` (`work_id`) WHERE "stock_lines"."work_id" is not null;--> statement-breakpoint
CREATE INDEX `stock_lines_by_time` ON `stock_lines` (`at_ms`,`cause`,`lot_id`,`quantity`);--> statement-breakpoint
ALTER TABLE `blanks` ADD `areas` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `vinyls` ADD `details` text DEFAULT '{}' NOT NULL;