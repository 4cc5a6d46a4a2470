ALTER TABLE `artworks` ADD `steps` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `artworks` ADD `layer_vinyl_ids` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `artworks` ADD `licence` text DEFAULT 'unknown' NOT NULL;