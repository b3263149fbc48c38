package app.tychon.core.simulation.engine;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Who gets which iterations, and whose count. */
class BlocksTest {
    private static final byte[] PACKED = {1};

    private final List<Block> kept = new ArrayList<>();
    private final List<Integer> told = new ArrayList<>();
    private final Blocks blocks = new Blocks(
            3250,
            new Apart() {
                @Override
                public byte[] work(Block block) {
                    return PACKED;
                }

                @Override
                public void keep(Block block, byte[] packed) {
                    kept.add(block);
                }
            },
            told::add);

    @Test
    void blocksAreWholeBatchesButForTheLast() {
        blocks.open(3250);
        assertThat(blocks.take(4)).contains(new Block(0, 2000));
        assertThat(blocks.takeOwn()).contains(new Block(2000, 500));
        assertThat(blocks.take(4)).contains(new Block(2500, 750));
        assertThat(blocks.take(1)).isEmpty();
    }

    @Test
    void noMoreAreTakenThanAreOpen() {
        blocks.open(1000);
        assertThat(blocks.take(4)).contains(new Block(0, 1000));
        assertThat(blocks.take(4)).isEmpty();
        assertThat(blocks.free()).isZero();
        blocks.open(9000);
        assertThat(blocks.free()).isEqualTo(2250);
    }

    @Test
    void whatIsGivenBackIsTakenFirst() {
        blocks.open(3250);
        Block lost = blocks.take(2).orElseThrow();
        blocks.takeOwn();
        blocks.giveBack(lost);
        assertThat(blocks.take(1)).contains(new Block(0, 500));
        assertThat(blocks.take(8)).contains(new Block(500, 500));
        assertThat(blocks.take(1)).contains(new Block(1500, 500));
        assertThat(blocks.finish(lost, PACKED)).as("nobody waits for it").isFalse();
        assertThat(kept).isEmpty();
    }

    @Test
    void doneInOrderEndsBeforeTheFirstGap() {
        blocks.open(3250);
        Block first = blocks.take(1).orElseThrow();
        Block second = blocks.take(2).orElseThrow();
        blocks.finish(second, PACKED);
        assertThat(blocks.doneInOrder()).isZero();
        assertThat(blocks.done()).isEqualTo(1000);
        blocks.finish(first, PACKED);
        assertThat(blocks.doneInOrder()).isEqualTo(1500);
        assertThat(told).containsExactly(1000, 1500);
        assertThat(kept).containsExactly(second, first);
    }

    /**
     * What a thread of the run has under way it puts to the run as it goes; had somebody else done it too, it would count
     * twice.
     */
    @Test
    void whatIsLateIsTakenTwiceWhereItIsWorkedApartAndNowhereElse() {
        blocks.open(2000);
        blocks.takeOwn().orElseThrow();
        Block others = blocks.take(1).orElseThrow();
        for (int i = 0; i < 2; i++) {
            Block quick = blocks.take(1).orElseThrow();
            assertThat(blocks.finish(quick, PACKED)).isTrue();
        }
        Optional<Block> late = blocks.takeLate();
        while (late.isEmpty()) {
            Thread.onSpinWait();
            late = blocks.takeLate();
        }
        assertThat(late).contains(others);
        assertThat(blocks.takeLate())
                .as("two work at it; the other is the run's own")
                .isEmpty();
        assertThat(blocks.finish(others, PACKED)).isTrue();
        assertThat(blocks.finish(others, PACKED)).as("the second time").isFalse();
        assertThat(kept).containsOnlyOnce(others);
        assertThat(blocks.isThrough()).as("its own is still out").isFalse();
    }

    @Test
    void nothingIsLateWhileAnythingIsFree() {
        blocks.open(3250);
        blocks.take(1);
        assertThat(blocks.takeLate()).isEmpty();
    }

    @Test
    void whatHasClosedFillsGapsAndTakesNothingNew() {
        blocks.open(3250);
        Block lost = blocks.take(1).orElseThrow();
        blocks.close();
        assertThat(blocks.take(1)).isEmpty();
        blocks.giveBack(lost);
        assertThat(blocks.isThrough()).isFalse();
        blocks.finish(blocks.take(1).orElseThrow(), PACKED);
        assertThat(blocks.isThrough()).isTrue();
    }
}
