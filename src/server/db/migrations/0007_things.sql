ALTER TABLE `kinds` ADD `told` text;--> statement-breakpoint
ALTER TABLE `kinds` ADD `binId` text REFERENCES bins(id);--> statement-breakpoint
ALTER TABLE `kinds` ADD `condition` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `kinds` ADD `incomplete` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `kinds` ADD `loans` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `kinds` ADD `standIn` text;