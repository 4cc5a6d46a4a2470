ALTER TABLE `supply_wear` ADD `worn_before` real;--> statement-breakpoint
CREATE INDEX `supply_wear_fitted` ON `supply_wear` (`supply_id`,`id`,`worn_before`) WHERE "supply_wear"."kind" = 'fitted';--> statement-breakpoint
UPDATE `supply_wear` SET `worn_before` = (
  SELECT coalesce(sum(CASE w.`kind` WHEN 'worn' THEN w.`amount` WHEN 'given-back' THEN -w.`amount` ELSE 0 END), 0)
  FROM `supply_wear` w
  WHERE w.`supply_id` = `supply_wear`.`supply_id` AND w.`id` < `supply_wear`.`id` AND w.`id` > (
    SELECT max(f.`id`) FROM `supply_wear` f
    WHERE f.`supply_id` = `supply_wear`.`supply_id` AND f.`kind` = 'fitted' AND f.`id` < `supply_wear`.`id`
  )
)
WHERE `kind` = 'fitted' AND EXISTS (
  SELECT 1 FROM `supply_wear` f
  WHERE f.`supply_id` = `supply_wear`.`supply_id` AND f.`kind` = 'fitted' AND f.`id` < `supply_wear`.`id`
);
