CREATE TABLE `layer_packings` (
	`artwork_id` integer NOT NULL,
	`artwork_version` integer NOT NULL,
	`layer_index` integer NOT NULL,
	`width_mm` real NOT NULL,
	`usable_mm` real NOT NULL,
	`turnable` integer NOT NULL,
	`copies` integer NOT NULL,
	`share` real NOT NULL,
	PRIMARY KEY(`artwork_id`, `layer_index`, `width_mm`, `usable_mm`, `turnable`),
	FOREIGN KEY (`artwork_id`) REFERENCES `artworks`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "layer_packings_share" CHECK("layer_packings"."share" > 0 and "layer_packings"."share" <= 1)
);
