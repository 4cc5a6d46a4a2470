PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_layer_packings` (
	`artwork_id` integer NOT NULL,
	`artwork_version` integer NOT NULL,
	`layer_index` integer NOT NULL,
	`width_mm` real NOT NULL,
	`usable_mm` real NOT NULL,
	`turnable` integer NOT NULL,
	`copies` integer NOT NULL,
	`share` real NOT NULL,
	PRIMARY KEY(`artwork_id`, `layer_index`, `width_mm`, `usable_mm`, `turnable`, `copies`),
	FOREIGN KEY (`artwork_id`) REFERENCES `artworks`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "layer_packings_share" CHECK("__new_layer_packings"."share" > 0 and "__new_layer_packings"."share" <= 1)
);
--> statement-breakpoint
INSERT INTO `__new_layer_packings`("artwork_id", "artwork_version", "layer_index", "width_mm", "usable_mm", "turnable", "copies", "share") SELECT "artwork_id", "artwork_version", "layer_index", "width_mm", "usable_mm", "turnable", "copies", "share" FROM `layer_packings`;--> statement-breakpoint
DROP TABLE `layer_packings`;--> statement-breakpoint
ALTER TABLE `__new_layer_packings` RENAME TO `layer_packings`;--> statement-breakpoint
PRAGMA foreign_keys=ON;