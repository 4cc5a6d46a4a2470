CREATE TABLE `learned_times` (
	`station` text PRIMARY KEY NOT NULL,
	`taken_at_ms` integer NOT NULL,
	`logs` integer NOT NULL,
	`figures` text NOT NULL,
	`vinyls` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `weed_stretches` (
	`session_id` integer PRIMARY KEY NOT NULL,
	`vinyl_id` integer,
	`at_ms` integer NOT NULL,
	`seconds` real NOT NULL,
	`amounts` text NOT NULL,
	FOREIGN KEY (`session_id`) REFERENCES `work_sessions`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`vinyl_id`) REFERENCES `vinyls`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `weed_stretches_latest` ON `weed_stretches` (`at_ms`);--> statement-breakpoint
CREATE INDEX `weed_stretches_by_vinyl` ON `weed_stretches` (`vinyl_id`);