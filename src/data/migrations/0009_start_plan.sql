CREATE TABLE `start_plan` (
	`id` integer PRIMARY KEY NOT NULL,
	`plan` text NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	CONSTRAINT "one_start_plan" CHECK("start_plan"."id" = 1)
);
