CREATE TABLE `meta` (
	`name` text PRIMARY KEY NOT NULL,
	`value` text NOT NULL
);
--> statement-breakpoint
ALTER TABLE `refused` ADD `device` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `revisions` ADD `revision` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `revisions` ADD `device` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `rooms` ADD `revision` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `rooms` ADD `device` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `rooms` ADD `deleted_at` text;--> statement-breakpoint
UPDATE `revisions` SET `revision` = lower(hex(randomblob(8)));--> statement-breakpoint
UPDATE `rooms` SET `revision` = coalesce((SELECT r.`revision` FROM `revisions` r WHERE r.`room_id` = `rooms`.`id` AND r.`version` = `rooms`.`version`), lower(hex(randomblob(8))));
