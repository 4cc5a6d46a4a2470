ALTER TABLE `units` RENAME TO `pieces`;--> statement-breakpoint
DROP INDEX `units_by_line`;--> statement-breakpoint
CREATE INDEX `pieces_by_line` ON `pieces` (`line_id`);--> statement-breakpoint
ALTER TABLE `parts` RENAME COLUMN `unit_id` TO `piece_id`;--> statement-breakpoint
ALTER TABLE `work` RENAME TO `work_sessions`;--> statement-breakpoint
DROP INDEX `work_running_once`;--> statement-breakpoint
CREATE UNIQUE INDEX `work_sessions_running_once` ON `work_sessions` (`station`) WHERE "work_sessions"."stopped_at_ms" is null;--> statement-breakpoint
DROP INDEX `work_by_start`;--> statement-breakpoint
CREATE INDEX `work_sessions_by_start` ON `work_sessions` (`started_at_ms`);--> statement-breakpoint
ALTER TABLE `work_parts` RENAME TO `work_session_parts`;--> statement-breakpoint
ALTER TABLE `work_session_parts` RENAME COLUMN `work_id` TO `session_id`;--> statement-breakpoint
DROP INDEX `work_parts_by_part`;--> statement-breakpoint
CREATE INDEX `work_session_parts_by_part` ON `work_session_parts` (`part_id`);--> statement-breakpoint
ALTER TABLE `part_events` RENAME COLUMN `work_id` TO `session_id`;--> statement-breakpoint
ALTER TABLE `stock_lines` RENAME COLUMN `work_id` TO `session_id`;--> statement-breakpoint
DROP INDEX `stock_lines_by_work`;--> statement-breakpoint
CREATE INDEX `stock_lines_by_session` ON `stock_lines` (`session_id`) WHERE "stock_lines"."session_id" is not null;--> statement-breakpoint
ALTER TABLE `supply_wear` RENAME COLUMN `work_id` TO `session_id`;--> statement-breakpoint
ALTER TABLE `lots` RENAME COLUMN `bad_spots` TO `spoiled_spots`;--> statement-breakpoint
ALTER TABLE `items` RENAME COLUMN `noted` TO `accepted_cost`;--> statement-breakpoint
ALTER TABLE `cut_sheets` RENAME COLUMN `kept_at_ms` TO `saved_at_ms`;
