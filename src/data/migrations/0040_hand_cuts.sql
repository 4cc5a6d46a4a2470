CREATE TABLE `hand_cuts` (
	`session_id` integer NOT NULL,
	`vinyl_id` integer NOT NULL,
	`setting` text NOT NULL,
	PRIMARY KEY(`session_id`, `vinyl_id`),
	FOREIGN KEY (`session_id`) REFERENCES `work_sessions`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`vinyl_id`) REFERENCES `vinyls`(`id`) ON UPDATE no action ON DELETE no action
);
