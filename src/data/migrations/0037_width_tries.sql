CREATE TABLE `width_tries` (
	`vinyl_id` integer NOT NULL,
	`tenths_mm` integer NOT NULL,
	`tries` integer NOT NULL,
	`failures` integer NOT NULL,
	PRIMARY KEY(`vinyl_id`, `tenths_mm`),
	FOREIGN KEY (`vinyl_id`) REFERENCES `vinyls`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
ALTER TABLE `part_events` ADD `finest_mm` real;--> statement-breakpoint
ALTER TABLE `side_trials` ADD `finest_mm` real;