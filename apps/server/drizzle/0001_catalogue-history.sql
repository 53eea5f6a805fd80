CREATE TABLE `catalogue_history` (
	`kind` text NOT NULL,
	`id` text NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`saved_at` text DEFAULT '' NOT NULL,
	`edit_id` text DEFAULT '' NOT NULL,
	`entry` text NOT NULL,
	PRIMARY KEY(`kind`, `id`, `version`)
);
--> statement-breakpoint
CREATE INDEX `catalogue_history_edit` ON `catalogue_history` (`edit_id`);--> statement-breakpoint
ALTER TABLE `catalogue_entries` ADD `version` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `catalogue_entries` ADD `saved_at` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `catalogue_entries` ADD `edit_id` text DEFAULT '' NOT NULL;