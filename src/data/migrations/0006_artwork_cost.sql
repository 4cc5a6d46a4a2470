ALTER TABLE `items` ADD `artwork_price` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `items` ADD `artwork_run` integer DEFAULT 1 NOT NULL;