CREATE TABLE `people` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`name` text NOT NULL,
	`archived_at_ms` integer
);
--> statement-breakpoint
CREATE UNIQUE INDEX `people_by_name` ON `people` (`name`) WHERE "people"."archived_at_ms" is null;--> statement-breakpoint
ALTER TABLE `work_sessions` ADD `person_id` integer REFERENCES people(id);--> statement-breakpoint
ALTER TABLE `learned_times` ADD `people` text;