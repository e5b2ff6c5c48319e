-- Which limit acted on somebody is for the sealed notes alone: what a class decided keeps that one did, and what it did.
UPDATE `class_decision` SET
	`before` = json_set(`before`, '$.reasons', (
		SELECT json_group_array(CASE WHEN json_extract(r.value, '$.code') = 'limited' THEN json_set(r.value, '$.because', json('[]')) ELSE json(r.value) END)
		FROM json_each(`class_decision`.`before`, '$.reasons') AS r
	)),
	`after` = json_set(`after`, '$.reasons', (
		SELECT json_group_array(CASE WHEN json_extract(r.value, '$.code') = 'limited' THEN json_set(r.value, '$.because', json('[]')) ELSE json(r.value) END)
		FROM json_each(`class_decision`.`after`, '$.reasons') AS r
	));
