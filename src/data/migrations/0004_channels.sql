CREATE TABLE `channels` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`fees` text NOT NULL,
	`archived_at_ms` integer,
	`version` integer DEFAULT 1 NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `channels_once` ON `channels` (`name`) WHERE "channels"."archived_at_ms" is null;