DROP TABLE `idempotency`;--> statement-breakpoint
DROP TABLE `simulations`;--> statement-breakpoint
ALTER TABLE `meetings` ADD `version` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `meetings` ADD `changedAt` text DEFAULT '' NOT NULL;