ALTER TABLE `letterings` ADD `set_at_ms` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `letterings` ADD `used` integer DEFAULT false NOT NULL;--> statement-breakpoint
CREATE INDEX `letterings_tried` ON `letterings` (`set_at_ms`) WHERE "letterings"."used" = 0;--> statement-breakpoint
-- Of those that were set before it cannot be told what rests on them.
UPDATE `letterings` SET `used` = 1;
