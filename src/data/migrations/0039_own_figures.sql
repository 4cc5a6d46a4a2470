CREATE TABLE `own_figures` (
	`ladder_id` integer PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`lines` text NOT NULL,
	FOREIGN KEY (`ladder_id`) REFERENCES `ladders`(`id`) ON UPDATE no action ON DELETE cascade
);
