-- Where projects stand is told with their milestones from now on; what was worked out without them is worked out anew.
DELETE FROM standing;
