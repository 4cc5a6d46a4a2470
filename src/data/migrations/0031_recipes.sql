CREATE TABLE `cut_presets` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`vinyl_id` integer NOT NULL,
	`name` text NOT NULL,
	`use` text NOT NULL,
	`setting` text NOT NULL,
	`blade_metres` real NOT NULL,
	`saved_at_ms` integer NOT NULL,
	FOREIGN KEY (`vinyl_id`) REFERENCES `vinyls`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `cut_presets_by_vinyl` ON `cut_presets` (`vinyl_id`,`name`);--> statement-breakpoint
CREATE TABLE `press_looks` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`vinyl_id` integer NOT NULL,
	`fabric` text NOT NULL,
	`kind` text NOT NULL,
	`pieces` integer NOT NULL,
	`washes` integer NOT NULL,
	`day` text NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	FOREIGN KEY (`vinyl_id`) REFERENCES `vinyls`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "press_looks_counts" CHECK("press_looks"."pieces" >= 1 and "press_looks"."washes" >= 0)
);
--> statement-breakpoint
CREATE INDEX `press_looks_by_vinyl` ON `press_looks` (`vinyl_id`,`fabric`,`day`);--> statement-breakpoint
CREATE INDEX `vinyls_with_own_press` ON `vinyls` (`name`) WHERE json_extract("details", '$.value.ownPress') <> '{}';