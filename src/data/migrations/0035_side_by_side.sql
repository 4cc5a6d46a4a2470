CREATE TABLE `later_looks` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`vinyl_id` integer NOT NULL,
	`fabric` text NOT NULL,
	`what` text NOT NULL,
	`pieces` integer NOT NULL,
	`reason` text NOT NULL,
	`washes` integer NOT NULL,
	`due_day` text NOT NULL,
	`order_id` integer,
	`candidate_id` integer,
	`look_id` integer,
	FOREIGN KEY (`vinyl_id`) REFERENCES `vinyls`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`order_id`) REFERENCES `orders`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`candidate_id`) REFERENCES `side_candidates`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`look_id`) REFERENCES `press_looks`(`id`) ON UPDATE no action ON DELETE set null
);
--> statement-breakpoint
CREATE INDEX `later_looks_due` ON `later_looks` (`due_day`) WHERE "later_looks"."look_id" is null;--> statement-breakpoint
CREATE INDEX `later_looks_by_order` ON `later_looks` (`order_id`);--> statement-breakpoint
CREATE INDEX `later_looks_by_candidate` ON `later_looks` (`candidate_id`);--> statement-breakpoint
CREATE INDEX `later_looks_by_look` ON `later_looks` (`look_id`);--> statement-breakpoint
CREATE INDEX `later_looks_by_vinyl` ON `later_looks` (`vinyl_id`);--> statement-breakpoint
CREATE TABLE `side_candidates` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`trial_id` integer NOT NULL,
	`vinyl_id` integer NOT NULL,
	`lot_id` integer,
	`label` text DEFAULT '' NOT NULL,
	`setting` text,
	`sheet` text NOT NULL,
	`clock` text,
	`clock_at_ms` integer,
	`filled_at_ms` integer,
	FOREIGN KEY (`trial_id`) REFERENCES `side_trials`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`vinyl_id`) REFERENCES `vinyls`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`lot_id`) REFERENCES `lots`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `side_candidates_by_trial` ON `side_candidates` (`trial_id`);--> statement-breakpoint
CREATE INDEX `side_candidates_by_vinyl` ON `side_candidates` (`vinyl_id`);--> statement-breakpoint
CREATE INDEX `side_candidates_by_lot` ON `side_candidates` (`lot_id`);--> statement-breakpoint
CREATE TABLE `side_trials` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`name` text NOT NULL,
	`axis` text NOT NULL,
	`artwork_id` integer NOT NULL,
	`width_mm` real NOT NULL,
	`design` text NOT NULL,
	`pieces` integer NOT NULL,
	`fabric` text NOT NULL,
	`started_at_ms` integer NOT NULL,
	`closed_at_ms` integer,
	FOREIGN KEY (`artwork_id`) REFERENCES `artworks`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "side_trials_pieces" CHECK("side_trials"."pieces" >= 1)
);
--> statement-breakpoint
CREATE INDEX `side_trials_latest` ON `side_trials` (`started_at_ms`);--> statement-breakpoint
CREATE INDEX `side_trials_by_artwork` ON `side_trials` (`artwork_id`);