-- What orders and customers are looked for by, by three letters at a time, capitals and accents aside: a search goes
-- through no order that it does not find. Kept by the database, whoever changes an order.
CREATE VIRTUAL TABLE `order_words` USING fts5(`said`, tokenize = 'trigram remove_diacritics 1');
--> statement-breakpoint
CREATE VIRTUAL TABLE `customer_words` USING fts5(`name`, `contact`, tokenize = 'trigram remove_diacritics 1');
--> statement-breakpoint
INSERT INTO `customer_words` (`rowid`, `name`, `contact`) SELECT `id`, `name`, `contact` FROM `customers`;
--> statement-breakpoint
INSERT INTO `order_words` (`rowid`, `said`)
	SELECT `id`, `title` || char(10) || coalesce((
		SELECT group_concat(`words`, char(10)) FROM `order_lines` WHERE `order_id` = `orders`.`id`
	), '') FROM `orders`;
--> statement-breakpoint
CREATE TRIGGER `customer_words_new` AFTER INSERT ON `customers` BEGIN
	INSERT INTO `customer_words` (`rowid`, `name`, `contact`) VALUES (NEW.`id`, NEW.`name`, NEW.`contact`);
END;
--> statement-breakpoint
CREATE TRIGGER `customer_words_change` AFTER UPDATE OF `name`, `contact` ON `customers` BEGIN
	UPDATE `customer_words` SET `name` = NEW.`name`, `contact` = NEW.`contact` WHERE `rowid` = NEW.`id`;
END;
--> statement-breakpoint
CREATE TRIGGER `customer_words_gone` AFTER DELETE ON `customers` BEGIN
	DELETE FROM `customer_words` WHERE `rowid` = OLD.`id`;
END;
--> statement-breakpoint
CREATE TRIGGER `order_words_new` AFTER INSERT ON `orders` BEGIN
	INSERT INTO `order_words` (`rowid`, `said`) VALUES (NEW.`id`, NEW.`title`);
END;
--> statement-breakpoint
CREATE TRIGGER `order_words_change` AFTER UPDATE OF `title` ON `orders` WHEN NEW.`title` <> OLD.`title` BEGIN
	UPDATE `order_words` SET `said` = NEW.`title` || char(10) || coalesce((
		SELECT group_concat(`words`, char(10)) FROM `order_lines` WHERE `order_id` = NEW.`id`
	), '') WHERE `rowid` = NEW.`id`;
END;
--> statement-breakpoint
CREATE TRIGGER `order_words_gone` AFTER DELETE ON `orders` BEGIN
	DELETE FROM `order_words` WHERE `rowid` = OLD.`id`;
END;
--> statement-breakpoint
CREATE TRIGGER `order_words_of_line` AFTER INSERT ON `order_lines` WHEN NEW.`words` <> '' BEGIN
	UPDATE `order_words` SET `said` = `said` || char(10) || NEW.`words` WHERE `rowid` = NEW.`order_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `order_words_of_line_change` AFTER UPDATE OF `words` ON `order_lines` WHEN NEW.`words` <> OLD.`words` BEGIN
	UPDATE `order_words` SET `said` = coalesce((SELECT `title` FROM `orders` WHERE `id` = NEW.`order_id`), '') || char(10) || coalesce((
		SELECT group_concat(`words`, char(10)) FROM `order_lines` WHERE `order_id` = NEW.`order_id`
	), '') WHERE `rowid` = NEW.`order_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `order_words_of_line_gone` AFTER DELETE ON `order_lines` WHEN OLD.`words` <> '' BEGIN
	UPDATE `order_words` SET `said` = coalesce((SELECT `title` FROM `orders` WHERE `id` = OLD.`order_id`), '') || char(10) || coalesce((
		SELECT group_concat(`words`, char(10)) FROM `order_lines` WHERE `order_id` = OLD.`order_id`
	), '') WHERE `rowid` = OLD.`order_id`;
END;
