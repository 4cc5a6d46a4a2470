PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_items` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`name` text NOT NULL,
	`blank_id` integer NOT NULL,
	`size_name` text NOT NULL,
	`colour_name` text NOT NULL,
	`area_basis` text NOT NULL,
	`quantity` integer NOT NULL,
	`price` integer NOT NULL,
	`artwork_price` integer DEFAULT 0 NOT NULL,
	`artwork_run` integer DEFAULT 1 NOT NULL,
	`details` text DEFAULT '{}' NOT NULL,
	`noted` text,
	`archived_at_ms` integer,
	`version` integer DEFAULT 1 NOT NULL,
	FOREIGN KEY (`blank_id`) REFERENCES `blanks`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "items_sound" CHECK("__new_items"."quantity" >= 1 and "__new_items"."price" >= 0)
);
--> statement-breakpoint
INSERT INTO `__new_items`("id", "name", "blank_id", "size_name", "colour_name", "area_basis", "quantity", "price", "artwork_price", "artwork_run", "details", "noted", "archived_at_ms", "version") SELECT "id", "name", "blank_id", "size_name", "colour_name", "area_basis", "quantity", "price", "artwork_price", "artwork_run", "details", "noted", "archived_at_ms", "version" FROM `items`;--> statement-breakpoint
DROP TABLE `items`;--> statement-breakpoint
ALTER TABLE `__new_items` RENAME TO `items`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
CREATE INDEX `items_by_name` ON `items` (`name`);--> statement-breakpoint
CREATE INDEX `items_by_blank` ON `items` (`blank_id`);