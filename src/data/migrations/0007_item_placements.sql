CREATE TABLE `item_placements` (
	`item_id` integer NOT NULL,
	`position` integer NOT NULL,
	`artwork_id` integer NOT NULL,
	`place` text NOT NULL,
	`width_mm` real NOT NULL,
	`widths` text NOT NULL,
	`seen_through` integer NOT NULL,
	PRIMARY KEY(`item_id`, `position`),
	FOREIGN KEY (`item_id`) REFERENCES `items`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`artwork_id`) REFERENCES `artworks`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "item_placements_width" CHECK("item_placements"."width_mm" > 0)
);
--> statement-breakpoint
INSERT INTO `item_placements`("item_id", "position", "artwork_id", "place", "width_mm", "widths", "seen_through") SELECT "id", 0, "artwork_id", "placement", "width_mm", '{}', "seen_through" FROM `items`;--> statement-breakpoint
CREATE INDEX `item_placements_by_artwork` ON `item_placements` (`artwork_id`);--> statement-breakpoint
PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_item_vinyls` (
	`item_id` integer NOT NULL,
	`position` integer NOT NULL,
	`layer_index` integer NOT NULL,
	`vinyl_id` integer NOT NULL,
	PRIMARY KEY(`item_id`, `position`, `layer_index`),
	FOREIGN KEY (`item_id`) REFERENCES `items`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`vinyl_id`) REFERENCES `vinyls`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_item_vinyls`("item_id", "position", "layer_index", "vinyl_id") SELECT "item_id", 0, "layer_index", "vinyl_id" FROM `item_vinyls`;--> statement-breakpoint
DROP TABLE `item_vinyls`;--> statement-breakpoint
ALTER TABLE `__new_item_vinyls` RENAME TO `item_vinyls`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
CREATE INDEX `item_vinyls_by_vinyl` ON `item_vinyls` (`vinyl_id`);--> statement-breakpoint
ALTER TABLE `items` ADD `details` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE `items` ADD `noted` text;--> statement-breakpoint
ALTER TABLE `order_lines` ADD `made` text;