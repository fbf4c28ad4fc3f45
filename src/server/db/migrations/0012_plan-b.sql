CREATE TABLE `plan_bs` (
	`planId` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`answers` text NOT NULL,
	`madeOn` text NOT NULL,
	FOREIGN KEY (`planId`) REFERENCES `plans`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
ALTER TABLE `plans` ADD `number` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
UPDATE `plans` SET `number` = (SELECT count(*) FROM `plans` AS `p` WHERE `p`.`createdAt` < `plans`.`createdAt` OR (`p`.`createdAt` = `plans`.`createdAt` AND `p`.`id` <= `plans`.`id`));
