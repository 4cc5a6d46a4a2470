CREATE TABLE `quotes` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`customer_name` text NOT NULL,
	`item_id` integer NOT NULL,
	`at_ms` integer NOT NULL,
	`facts` text NOT NULL,
	`archived_at_ms` integer,
	FOREIGN KEY (`item_id`) REFERENCES `items`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `quotes_by_time` ON `quotes` (`at_ms`);