CREATE TABLE `made_sets` (
	`id` text PRIMARY KEY NOT NULL,
	`sheet` text NOT NULL,
	`parameters` text NOT NULL,
	`seed` integer NOT NULL,
	`paper` text NOT NULL,
	`form` text NOT NULL,
	`mark` text NOT NULL,
	`label` text NOT NULL,
	`copies` integer NOT NULL,
	`pieces` integer NOT NULL,
	`variantId` text,
	`kindId` text,
	`madeOn` text NOT NULL,
	`minutes` real,
	`reckoned` real NOT NULL,
	FOREIGN KEY (`variantId`) REFERENCES `variants`(`id`) ON UPDATE no action ON DELETE set null,
	FOREIGN KEY (`kindId`) REFERENCES `kinds`(`id`) ON UPDATE no action ON DELETE set null
);
