package app.tychon.server.ranges;

import app.tychon.server.live.Outlook;

/** Where the plan is heading as it is, and with a range that is not kept yet. */
record RangeEffect(Outlook before, Outlook after) {}
