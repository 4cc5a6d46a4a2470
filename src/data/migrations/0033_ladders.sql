CREATE TABLE `ladders` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`vinyl_id` integer NOT NULL,
	`lot_id` integer,
	`figure` text NOT NULL,
	`side_mm` real NOT NULL,
	`enough` real NOT NULL,
	`start_grams` real NOT NULL,
	`start_stray` real NOT NULL,
	`start_from` text NOT NULL,
	`setting` text NOT NULL,
	`cuts` text NOT NULL,
	`fine` text,
	`clean_setting` text,
	`clean_at_ms` integer,
	`blade_id` integer,
	`blade_metres` real NOT NULL,
	`placed` integer DEFAULT 0 NOT NULL,
	`roll_mm` real DEFAULT 0 NOT NULL,
	`job_id` text,
	`by_itself` integer DEFAULT false NOT NULL,
	`preset_id` integer,
	`started_at_ms` integer NOT NULL,
	`closed_at_ms` integer,
	FOREIGN KEY (`vinyl_id`) REFERENCES `vinyls`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`lot_id`) REFERENCES `lots`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`blade_id`) REFERENCES `supplies`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`preset_id`) REFERENCES `cut_presets`(`id`) ON UPDATE no action ON DELETE set null
);
--> statement-breakpoint
CREATE INDEX `ladders_open` ON `ladders` (`started_at_ms`) WHERE "ladders"."closed_at_ms" is null;--> statement-breakpoint
CREATE INDEX `ladders_by_vinyl` ON `ladders` (`vinyl_id`,`clean_at_ms`);--> statement-breakpoint
CREATE INDEX `ladders_by_lot` ON `ladders` (`lot_id`);--> statement-breakpoint
CREATE INDEX `ladders_latest` ON `ladders` (`started_at_ms`);