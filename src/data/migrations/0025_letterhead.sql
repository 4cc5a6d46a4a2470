ALTER TABLE `shop` ADD `address` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `shop` ADD `contact` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `shop` ADD `tax_note` text DEFAULT '' NOT NULL;