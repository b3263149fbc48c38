package app.tychon.server.losses;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;

/**
 * How much the risks still move, day by day.
 *
 * @param level   percent
 * @param today   the data date, where there is one
 * @param decided with the responses that are decided on, from the day on which they are done or planned to be
 * @param all     with all responses that are thought of, as planned
 */
record ExposureView(int level, @Nullable LocalDate today, List<ExposureStep> decided, List<ExposureStep> all) {

    /**
     * What holds from a day until the next step.
     *
     * @param because risks whose dates have passed or whose response is done
     * @param days    expected working days on the finish
     * @param daysAt  the same at the level of confidence
     * @param money   likewise
     */
    record ExposureStep(
            LocalDate from, List<String> because, double days, double daysAt, double money, double moneyAt) {}
}
