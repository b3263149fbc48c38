package app.tychon.server.settings;

import jakarta.annotation.Nullable;

/**
 * What is to change of the project itself; what is absent stays, null takes away what can be absent.
 *
 * @param start a date, or a date and time; of a date the calendar's first working hour is meant
 * @param dataDate a date, or a date and time; of a date its very beginning is meant
 * @param targetFinish a date, or a date and time; of a date the calendar's last working hour is meant
 * @param confidence percent, the level that matters to the project
 */
record SettingsWords(
        @Nullable String name,
        @Nullable String currency,
        @Nullable String start,
        @Nullable String dataDate,
        @Nullable String calendar,
        @Nullable String lagCalendar,
        @Nullable String targetFinish,
        @Nullable Double targetCost,
        @Nullable Integer confidence) {}
