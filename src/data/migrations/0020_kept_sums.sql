CREATE TABLE `cut_stretches` (
	`session_id` integer NOT NULL,
	`item_id` integer NOT NULL,
	`at_ms` integer NOT NULL,
	`seconds` real NOT NULL,
	`pieces` real NOT NULL,
	`loads` integer NOT NULL,
	`setup_seconds` real NOT NULL,
	`machine_seconds` text NOT NULL,
	PRIMARY KEY(`session_id`, `item_id`),
	FOREIGN KEY (`session_id`) REFERENCES `work_sessions`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`item_id`) REFERENCES `items`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `cut_stretches_by_item` ON `cut_stretches` (`item_id`,`at_ms`);--> statement-breakpoint
CREATE TABLE `item_evidence` (
	`item_id` integer PRIMARY KEY NOT NULL,
	`made` integer NOT NULL,
	`spoiled` integer NOT NULL,
	FOREIGN KEY (`item_id`) REFERENCES `items`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `piece_minutes` (
	`piece_id` integer NOT NULL,
	`station` text NOT NULL,
	`item_id` integer NOT NULL,
	`seconds` real NOT NULL,
	`at_ms` integer NOT NULL,
	PRIMARY KEY(`piece_id`, `station`),
	FOREIGN KEY (`piece_id`) REFERENCES `pieces`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`item_id`) REFERENCES `items`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `piece_minutes_by_item` ON `piece_minutes` (`item_id`,`station`,`at_ms`);--> statement-breakpoint
CREATE TABLE `vinyl_evidence` (
	`vinyl_id` integer PRIMARY KEY NOT NULL,
	`made` integer NOT NULL,
	`spoiled` integer NOT NULL,
	FOREIGN KEY (`vinyl_id`) REFERENCES `vinyls`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `item_cost_rests` (
	`item_id` integer NOT NULL,
	`what` text NOT NULL,
	PRIMARY KEY(`item_id`, `what`),
	FOREIGN KEY (`item_id`) REFERENCES `item_costs`(`item_id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `item_cost_rests_by_what` ON `item_cost_rests` (`what`);--> statement-breakpoint
CREATE TABLE `item_costs` (
	`item_id` integer PRIMARY KEY NOT NULL,
	`cost` text,
	`problem` text,
	`change` text,
	`with_risk` real,
	`hour_earns` real,
	`across_mm` real NOT NULL,
	FOREIGN KEY (`item_id`) REFERENCES `items`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `item_costs_by_cost` ON `item_costs` (`with_risk`);--> statement-breakpoint
CREATE INDEX `item_costs_by_hour` ON `item_costs` (`hour_earns`);--> statement-breakpoint
ALTER TABLE `parts` ADD `state` text DEFAULT 'to-cut' NOT NULL;--> statement-breakpoint
ALTER TABLE `parts` ADD `broken` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `pieces` ADD `cuts` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
CREATE TRIGGER `item_costs_of_item` AFTER UPDATE ON `items` BEGIN
	DELETE FROM `item_costs` WHERE `item_id` = NEW.`id`;
END;
--> statement-breakpoint
CREATE TRIGGER `item_costs_of_placement` AFTER INSERT ON `item_placements` BEGIN
	DELETE FROM `item_costs` WHERE `item_id` = NEW.`item_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `item_costs_of_placement_change` AFTER UPDATE ON `item_placements` BEGIN
	DELETE FROM `item_costs` WHERE `item_id` = NEW.`item_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `item_costs_of_placement_gone` AFTER DELETE ON `item_placements` BEGIN
	DELETE FROM `item_costs` WHERE `item_id` = OLD.`item_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `item_costs_of_item_vinyl` AFTER INSERT ON `item_vinyls` BEGIN
	DELETE FROM `item_costs` WHERE `item_id` = NEW.`item_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `item_costs_of_item_vinyl_change` AFTER UPDATE ON `item_vinyls` BEGIN
	DELETE FROM `item_costs` WHERE `item_id` = NEW.`item_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `item_costs_of_item_vinyl_gone` AFTER DELETE ON `item_vinyls` BEGIN
	DELETE FROM `item_costs` WHERE `item_id` = OLD.`item_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `item_costs_of_vinyl` AFTER UPDATE ON `vinyls` BEGIN
	DELETE FROM `item_costs` WHERE `item_id` IN (SELECT `item_id` FROM `item_cost_rests` WHERE `what` = 'vinyl:' || NEW.`id`);
END;
--> statement-breakpoint
CREATE TRIGGER `item_costs_of_blank` AFTER UPDATE ON `blanks` BEGIN
	DELETE FROM `item_costs` WHERE `item_id` IN (SELECT `item_id` FROM `item_cost_rests` WHERE `what` = 'blank:' || NEW.`id`);
END;
--> statement-breakpoint
CREATE TRIGGER `item_costs_of_blank_size` AFTER INSERT ON `blank_sizes` BEGIN
	DELETE FROM `item_costs` WHERE `item_id` IN (SELECT `item_id` FROM `item_cost_rests` WHERE `what` = 'blank:' || NEW.`blank_id`);
END;
--> statement-breakpoint
CREATE TRIGGER `item_costs_of_blank_size_change` AFTER UPDATE ON `blank_sizes` BEGIN
	DELETE FROM `item_costs` WHERE `item_id` IN (SELECT `item_id` FROM `item_cost_rests` WHERE `what` = 'blank:' || NEW.`blank_id`);
END;
--> statement-breakpoint
CREATE TRIGGER `item_costs_of_blank_size_gone` AFTER DELETE ON `blank_sizes` BEGIN
	DELETE FROM `item_costs` WHERE `item_id` IN (SELECT `item_id` FROM `item_cost_rests` WHERE `what` = 'blank:' || OLD.`blank_id`);
END;
--> statement-breakpoint
CREATE TRIGGER `item_costs_of_artwork` AFTER UPDATE ON `artworks` BEGIN
	DELETE FROM `item_costs` WHERE `item_id` IN (SELECT `item_id` FROM `item_cost_rests` WHERE `what` = 'artwork:' || NEW.`id`);
END;
--> statement-breakpoint
CREATE TRIGGER `item_costs_of_packing` AFTER INSERT ON `layer_packings` BEGIN
	DELETE FROM `item_costs` WHERE `item_id` IN (SELECT `item_id` FROM `item_cost_rests` WHERE `what` = 'artwork:' || NEW.`artwork_id`);
END;
--> statement-breakpoint
CREATE TRIGGER `item_costs_of_packing_change` AFTER UPDATE ON `layer_packings` BEGIN
	DELETE FROM `item_costs` WHERE `item_id` IN (SELECT `item_id` FROM `item_cost_rests` WHERE `what` = 'artwork:' || NEW.`artwork_id`);
END;
--> statement-breakpoint
CREATE TRIGGER `item_costs_of_packing_gone` AFTER DELETE ON `layer_packings` BEGIN
	DELETE FROM `item_costs` WHERE `item_id` IN (SELECT `item_id` FROM `item_cost_rests` WHERE `what` = 'artwork:' || OLD.`artwork_id`);
END;
--> statement-breakpoint
CREATE TRIGGER `item_costs_of_lot` AFTER INSERT ON `lots` BEGIN
	DELETE FROM `item_costs` WHERE `item_id` IN (SELECT `item_id` FROM `item_cost_rests` WHERE `what` = 'price:' || NEW.`key`);
END;
--> statement-breakpoint
CREATE TRIGGER `item_costs_of_lot_change` AFTER UPDATE ON `lots` BEGIN
	DELETE FROM `item_costs` WHERE `item_id` IN (SELECT `item_id` FROM `item_cost_rests` WHERE `what` = 'price:' || NEW.`key`);
END;
--> statement-breakpoint
CREATE TRIGGER `item_costs_of_offer` AFTER UPDATE ON `offers` BEGIN
	DELETE FROM `item_costs` WHERE `item_id` IN (SELECT `item_id` FROM `item_cost_rests` WHERE `what` IN (SELECT 'price:' || `key` FROM `offer_parts` WHERE `offer_id` = NEW.`id`));
END;
--> statement-breakpoint
CREATE TRIGGER `item_costs_of_offer_part` AFTER INSERT ON `offer_parts` BEGIN
	DELETE FROM `item_costs` WHERE `item_id` IN (SELECT `item_id` FROM `item_cost_rests` WHERE `what` = 'price:' || NEW.`key`);
END;
--> statement-breakpoint
CREATE TRIGGER `item_costs_of_offer_part_change` AFTER UPDATE ON `offer_parts` BEGIN
	DELETE FROM `item_costs` WHERE `item_id` IN (SELECT `item_id` FROM `item_cost_rests` WHERE `what` IN ('price:' || OLD.`key`, 'price:' || NEW.`key`));
END;
--> statement-breakpoint
CREATE TRIGGER `item_costs_of_offer_part_gone` AFTER DELETE ON `offer_parts` BEGIN
	DELETE FROM `item_costs` WHERE `item_id` IN (SELECT `item_id` FROM `item_cost_rests` WHERE `what` = 'price:' || OLD.`key`);
END;
--> statement-breakpoint
CREATE TRIGGER `item_costs_of_offer_break` AFTER INSERT ON `offer_breaks` BEGIN
	DELETE FROM `item_costs` WHERE `item_id` IN (SELECT `item_id` FROM `item_cost_rests` WHERE `what` IN (SELECT 'price:' || `key` FROM `offer_parts` WHERE `offer_id` = NEW.`offer_id`));
END;
--> statement-breakpoint
CREATE TRIGGER `item_costs_of_offer_break_gone` AFTER DELETE ON `offer_breaks` BEGIN
	DELETE FROM `item_costs` WHERE `item_id` IN (SELECT `item_id` FROM `item_cost_rests` WHERE `what` IN (SELECT 'price:' || `key` FROM `offer_parts` WHERE `offer_id` = OLD.`offer_id`));
END;
--> statement-breakpoint
CREATE TRIGGER `item_costs_of_supplier` AFTER UPDATE ON `suppliers` BEGIN
	DELETE FROM `item_costs` WHERE `item_id` IN (SELECT `item_id` FROM `item_cost_rests` WHERE `what` LIKE 'price:%');
END;
--> statement-breakpoint
CREATE TRIGGER `item_costs_of_shop` AFTER UPDATE ON `shop` BEGIN
	DELETE FROM `item_costs`;
END;
--> statement-breakpoint
CREATE TRIGGER `item_costs_of_supply` AFTER UPDATE ON `supplies` BEGIN
	DELETE FROM `item_costs`;
END;
--> statement-breakpoint
CREATE TRIGGER `item_costs_of_fitted` AFTER INSERT ON `supply_wear` WHEN NEW.`kind` = 'fitted' BEGIN
	DELETE FROM `item_costs`;
END;
--> statement-breakpoint
CREATE TRIGGER `item_costs_of_supply_lot` AFTER INSERT ON `lots` WHEN NEW.`key` LIKE 'supply:%' BEGIN
	DELETE FROM `item_costs`;
END;
--> statement-breakpoint
CREATE TRIGGER `item_costs_of_evidence` AFTER INSERT ON `item_evidence` BEGIN
	DELETE FROM `item_costs` WHERE `item_id` = NEW.`item_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `item_costs_of_evidence_change` AFTER UPDATE ON `item_evidence` BEGIN
	DELETE FROM `item_costs` WHERE `item_id` = NEW.`item_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `item_costs_of_minutes` AFTER INSERT ON `piece_minutes` BEGIN
	DELETE FROM `item_costs` WHERE `item_id` = NEW.`item_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `item_costs_of_minutes_change` AFTER UPDATE ON `piece_minutes` BEGIN
	DELETE FROM `item_costs` WHERE `item_id` = NEW.`item_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `item_costs_of_cutting` AFTER INSERT ON `cut_stretches` BEGIN
	DELETE FROM `item_costs` WHERE `item_id` = NEW.`item_id`;
END;
