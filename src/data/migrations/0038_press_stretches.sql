CREATE TABLE `press_stretches` (
	`session_id` integer PRIMARY KEY NOT NULL,
	`at_ms` integer NOT NULL,
	`seconds` real NOT NULL,
	`fixed_seconds` real NOT NULL,
	`amounts` text NOT NULL,
	FOREIGN KEY (`session_id`) REFERENCES `work_sessions`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `press_stretches_latest` ON `press_stretches` (`at_ms`);