package app.tychon.brief.drawing;

/** Where values stand between two edges. */
record Placed(double left, double right, double low, double high) {
    double of(double value) {
        return high > low ? left + (value - low) / (high - low) * (right - left) : (left + right) / 2;
    }

    boolean holds(double value) {
        return value >= low && value <= high;
    }
}
