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
    private final Blocks blocks = blocks(3250);

    private Blocks blocks(int round) {
        Apart apart = new Apart() {
            @Override
            public byte[] work(Block block) {
                return PACKED;
            }

            @Override
            public void keep(Block block, byte[] packed) {
                kept.add(block);
            }
        };
        return new Blocks(3250, round, apart, told::add);
    }

    @Test
    void blocksAreWholeBatchesButForTheLast() {
        blocks.open(3250, 0);
        assertThat(blocks.take(4)).contains(new Block(0, 2000));
        assertThat(blocks.takeOwn()).contains(new Block(2000, 500));
        assertThat(blocks.take(4)).contains(new Block(2500, 750));
        assertThat(blocks.take(1)).isEmpty();
    }

    @Test
    void noMoreAreTakenThanAreOpen() {
        blocks.open(1000, 0);
        assertThat(blocks.take(4)).contains(new Block(0, 1000));
        assertThat(blocks.take(4)).isEmpty();
        assertThat(blocks.free()).isZero();
        blocks.open(9000, 0);
        assertThat(blocks.free()).as("in whole batches").isEqualTo(2500);
    }

    @Test
    void whatIsGivenBackIsTakenFirst() {
        blocks.open(3250, 0);
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
        blocks.open(3250, 0);
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
        blocks.open(2000, 0);
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
        blocks.open(3250, 0);
        blocks.take(1);
        assertThat(blocks.takeLate()).isEmpty();
    }

    @Test
    void whatHasClosedFillsGapsAndTakesNothingNew() {
        blocks.open(3250, 0);
        Block lost = blocks.take(1).orElseThrow();
        blocks.close();
        assertThat(blocks.take(1)).isEmpty();
        blocks.giveBack(lost);
        assertThat(blocks.isThrough()).isFalse();
        blocks.finish(blocks.take(1).orElseThrow(), PACKED);
        assertThat(blocks.isThrough()).isTrue();
    }

    @Test
    void whatIsDoneBeforeItsTurnIsKeptWhenThatComes() {
        Blocks rounds = blocks(1000);
        rounds.open(1000, 2000);
        assertThat(rounds.takeOwn()).contains(new Block(0, 500));
        // Others rather take what comes next, and nothing across the end of a round.
        Block next = rounds.take(8).orElseThrow();
        assertThat(next).isEqualTo(new Block(1000, 1000));
        assertThat(rounds.finish(next, PACKED)).isTrue();
        assertThat(rounds.finish(next, PACKED)).as("the second time").isFalse();
        assertThat(kept).isEmpty();
        assertThat(rounds.done()).isZero();
        assertThat(rounds.takeOwn()).contains(new Block(500, 500));
        assertThat(rounds.takeOwn()).as("of this round").isEmpty();
        assertThat(rounds.isThrough()).isFalse();
        rounds.finish(new Block(0, 500));
        rounds.finish(new Block(500, 500));
        assertThat(rounds.isThrough()).isTrue();

        rounds.open(2000, 2000);
        assertThat(kept).containsExactly(next);
        assertThat(rounds.done()).isEqualTo(2000);
        assertThat(rounds.isThrough()).as("all of the second round was done").isTrue();
        assertThat(rounds.free()).isEqualTo(1500);
    }

    @Test
    void whatIsUnderWayWhenItsTurnComesIsWaitedFor() {
        Blocks rounds = blocks(1000);
        rounds.open(1000, 1000);
        Block next = rounds.take(1).orElseThrow();
        assertThat(next).isEqualTo(new Block(1000, 500));
        rounds.finish(rounds.takeOwn().orElseThrow());
        rounds.finish(rounds.takeOwn().orElseThrow());
        assertThat(rounds.isThrough()).isTrue();
        rounds.open(2000, 1000);
        rounds.finish(rounds.takeOwn().orElseThrow());
        assertThat(rounds.isThrough()).as("an other is still at its first half").isFalse();
        rounds.finish(next, PACKED);
        assertThat(rounds.isThrough()).isTrue();
        assertThat(kept).containsExactly(next);
        assertThat(rounds.doneInOrder()).isEqualTo(2000);
    }

    @Test
    void whatWasDoneEarlyIsDroppedWhenTheRunIsStopped() {
        Blocks rounds = blocks(1000);
        rounds.open(1000, 2250);
        Block next = rounds.take(2).orElseThrow();
        rounds.finish(next, PACKED);
        rounds.finish(rounds.takeOwn().orElseThrow());
        rounds.close();
        assertThat(rounds.take(1)).isEmpty();
        assertThat(rounds.takeOwn()).as("nobody had begun with it").isEmpty();
        assertThat(rounds.isThrough()).isTrue();
        assertThat(rounds.done()).isEqualTo(500);
        assertThat(kept).isEmpty();
    }

    @Test
    void thereIsALimitToWhatWaitsForItsTurn() {
        Blocks rounds = blocks(500);
        rounds.open(500, 2500);
        byte[] large = new byte[(int) Blocks.MOST_EARLY / 2 + 1];
        for (int i = 0; i < 2; i++) {
            rounds.finish(rounds.takeAhead(1).orElseThrow(), large);
        }
        assertThat(rounds.takeAhead(1)).isEmpty();
        Block own = rounds.take(1).orElseThrow();
        assertThat(own).as("what has its turn is taken all the same").isEqualTo(new Block(0, 500));
        rounds.finish(own, PACKED);
        rounds.open(1000, 2500);
        assertThat(kept).containsExactly(own, new Block(500, 500));
        assertThat(rounds.takeAhead(1)).as("there is room again").contains(new Block(1500, 500));
    }

    @Test
    void theLastRoundIsAsLongAsIsLeft() {
        Blocks rounds = blocks(1000);
        rounds.open(3000, 1000);
        Block last = rounds.takeAhead(4).orElseThrow();
        assertThat(last).isEqualTo(new Block(3000, 250));
        rounds.finish(last, PACKED);
        rounds.open(4000, 1000);
        assertThat(kept).containsExactly(last);
    }
}
