CREATE TABLE `taken_requests` (
	`key` text PRIMARY KEY NOT NULL,
	`digest` text NOT NULL,
	`answer` text NOT NULL,
	`at_ms` integer NOT NULL
);
--> statement-breakpoint
CREATE INDEX `taken_requests_by_time` ON `taken_requests` (`at_ms`);