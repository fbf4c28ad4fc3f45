CREATE TABLE `pacing` (
	`week` text NOT NULL,
	`framework` text NOT NULL,
	`identifier` text NOT NULL,
	`position` integer NOT NULL,
	PRIMARY KEY(`week`, `framework`, `identifier`)
);
--> statement-breakpoint
CREATE TABLE `prep_ticks` (
	`variantId` text NOT NULL,
	`step` text NOT NULL,
	`tickedAt` text NOT NULL,
	PRIMARY KEY(`variantId`, `step`),
	FOREIGN KEY (`variantId`) REFERENCES `variants`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
ALTER TABLE `games` ADD `tags` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `kinds` ADD `price` real;--> statement-breakpoint
ALTER TABLE `variants` ADD `steps` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `variants` ADD `uses` text DEFAULT '[]' NOT NULL;