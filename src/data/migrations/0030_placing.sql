ALTER TABLE `blank_sizes` ADD `width_mm` real;--> statement-breakpoint
ALTER TABLE `blank_sizes` ADD `length_mm` real;--> statement-breakpoint
ALTER TABLE `blanks` ADD `shape` text;--> statement-breakpoint
ALTER TABLE `item_placements` ADD `placing` text;