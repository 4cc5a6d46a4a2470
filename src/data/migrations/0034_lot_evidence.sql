CREATE TABLE `lot_evidence` (
	`vinyl_id` integer NOT NULL,
	`lot_id` integer NOT NULL,
	`design` text NOT NULL,
	`tries` integer NOT NULL,
	`failures` integer NOT NULL,
	`last_at_ms` integer NOT NULL,
	PRIMARY KEY(`vinyl_id`, `lot_id`, `design`),
	FOREIGN KEY (`vinyl_id`) REFERENCES `vinyls`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `lot_evidence_latest` ON `lot_evidence` (`last_at_ms`);--> statement-breakpoint
ALTER TABLE `part_events` ADD `lot_id` integer REFERENCES lots(id);--> statement-breakpoint
ALTER TABLE `part_events` ADD `design` text;