CREATE TABLE `cut_sheets` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`vinyl_id` integer NOT NULL,
	`sheet` text NOT NULL,
	`kept_at_ms` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	FOREIGN KEY (`vinyl_id`) REFERENCES `vinyls`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `cut_sheets_by_vinyl` ON `cut_sheets` (`vinyl_id`);