CREATE TRIGGER `incident_insert_renews` AFTER INSERT ON `incident` BEGIN DELETE FROM `current_decision` WHERE `student_id` = new.`student_id`; END;
--> statement-breakpoint
CREATE TRIGGER `incident_delete_renews` AFTER DELETE ON `incident` BEGIN DELETE FROM `current_decision` WHERE `student_id` = old.`student_id`; END;
