ALTER TABLE `part_events` ADD `blank_cost` real;--> statement-breakpoint
ALTER TABLE `part_events` ADD `wear_cost` real;--> statement-breakpoint
ALTER TABLE `supply_wear` ADD `unit_cost` real;