package app.tychon.core.simulation.settings;

/**
 * How finely the uncertain quantities of a plan are told apart.
 *
 * @param risksApart  whether a risk's chance and the size of each impact count as quantities of their own
 * @param groupsAsOne whether estimates that move together count as one
 * @param money       whether it is money that they are measured against: then what a risk does counts in money
 */
public record Grain(boolean risksApart, boolean groupsAsOne, boolean money) {
    /** Every draw by itself. */
    public static final Grain FINEST = new Grain(true, false, false);
}
