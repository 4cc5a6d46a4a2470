CREATE TABLE `feed_columns` (
	`header` text PRIMARY KEY NOT NULL,
	`columns` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `feed_names` (
	`kind` text NOT NULL,
	`item_id` integer NOT NULL,
	`name` text NOT NULL,
	`own` text NOT NULL,
	PRIMARY KEY(`kind`, `item_id`, `name`),
	FOREIGN KEY (`item_id`) REFERENCES `items`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
ALTER TABLE `parts` ADD `recut` text;--> statement-breakpoint
ALTER TABLE `part_events` ADD `recut` text;