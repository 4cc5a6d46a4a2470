CREATE TABLE `machines` (
	`name` text PRIMARY KEY NOT NULL,
	`memory` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `sheet_cuts` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`session_id` integer NOT NULL,
	`saved_sheet_id` integer NOT NULL,
	`saved_version` integer NOT NULL,
	`sheet` integer NOT NULL,
	`lot_id` integer NOT NULL,
	`vinyl_id` integer NOT NULL,
	`state` text NOT NULL,
	`setting` text NOT NULL,
	`test_reasons` text NOT NULL,
	`tests` text NOT NULL,
	`clean_at_ms` integer,
	`expected_width_mm` real,
	`read_width_mm` real,
	`shift_mm` real DEFAULT 0 NOT NULL,
	`blade_id` integer,
	`blade_metres` real DEFAULT 0 NOT NULL,
	`job_id` text,
	`lines` integer DEFAULT 0 NOT NULL,
	`lines_done` integer DEFAULT 0 NOT NULL,
	`machine_seconds` real DEFAULT 0 NOT NULL,
	`fault` text,
	`booked_session_id` integer,
	`sent_at_ms` integer,
	`ended_at_ms` integer,
	FOREIGN KEY (`session_id`) REFERENCES `work_sessions`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`lot_id`) REFERENCES `lots`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`vinyl_id`) REFERENCES `vinyls`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`blade_id`) REFERENCES `supplies`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`booked_session_id`) REFERENCES `work_sessions`(`id`) ON UPDATE no action ON DELETE set null,
	CONSTRAINT "sheet_cuts_lines" CHECK("sheet_cuts"."lines_done" between 0 and "sheet_cuts"."lines")
);
--> statement-breakpoint
CREATE UNIQUE INDEX `sheet_cuts_once` ON `sheet_cuts` (`session_id`,`sheet`);--> statement-breakpoint
CREATE INDEX `sheet_cuts_by_saved` ON `sheet_cuts` (`saved_sheet_id`);--> statement-breakpoint
CREATE INDEX `sheet_cuts_clean_by_lot` ON `sheet_cuts` (`lot_id`) WHERE "sheet_cuts"."clean_at_ms" is not null;--> statement-breakpoint
CREATE INDEX `sheet_cuts_clean_by_vinyl` ON `sheet_cuts` (`vinyl_id`,`clean_at_ms`) WHERE "sheet_cuts"."clean_at_ms" is not null;--> statement-breakpoint
CREATE INDEX `sheet_cuts_booked` ON `sheet_cuts` (`booked_session_id`) WHERE "sheet_cuts"."booked_session_id" is not null;