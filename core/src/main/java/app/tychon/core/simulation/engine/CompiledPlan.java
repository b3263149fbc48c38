package app.tychon.core.simulation.engine;

import app.tychon.core.model.Activity;
import app.tychon.core.model.Basis;
import app.tychon.core.model.Correlation;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.Estimates;
import app.tychon.core.model.Plan;
import app.tychon.core.schedule.CriticalTrace;
import app.tychon.core.schedule.ForwardPass;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.PlannedSpans;
import app.tychon.core.schedule.Schedule;
import app.tychon.core.schedule.Scheduler;
import app.tychon.core.schedule.Work;
import app.tychon.core.simulation.draws.Dependence;
import app.tychon.core.simulation.draws.RandomStream;
import app.tychon.core.simulation.draws.ShapeTables;
import app.tychon.core.simulation.draws.UncertainInput;
import app.tychon.core.simulation.money.CostCompiler;
import app.tychon.core.simulation.money.CostItem;
import app.tychon.core.simulation.money.CostItems;
import app.tychon.core.simulation.money.CostModel;
import app.tychon.core.simulation.risk.RiskCompiler;
import app.tychon.core.simulation.risk.RiskDrafts;
import app.tychon.core.simulation.risk.RiskModel;
import app.tychon.core.simulation.settings.Input;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.simulation.settings.Variation.Shortening;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A plan made ready to simulate, in one variation of it: network, uncertain durations, risks and costs. Immutable; share
 * it between runs. Variations share all that is costly to make.
 */
public final class CompiledPlan {
    /** What all variations share, and which one this is. */
    record Parts(
            Network network,
            ForwardPass pass,
            Schedule schedule,
            PlannedSpans planned,
            ShapeTables tables,
            RiskDrafts drafts,
            UncertainInput[] durations,
            CostItems.Made money,
            Map<String, UncertainInput> amounts,
            Map<String, UncertainInput> rates,
            Variation variation,
            int target) {
        Parts with(Variation other, int otherTarget) {
            return new Parts(
                    network,
                    pass,
                    schedule,
                    planned,
                    tables,
                    drafts,
                    durations,
                    money,
                    amounts,
                    rates,
                    other,
                    otherTarget);
        }
    }

    private final Parts parts;
    private final UncertainInput[] durations;
    private final Map<String, UncertainInput> amounts;
    private final Map<String, UncertainInput> rates;
    private final Dependence dependence;
    private final RiskModel risks;
    private final CostModel costs;

    private CompiledPlan(Parts parts) {
        this.parts = parts;
        Network network = parts.network();
        Variation variation = parts.variation();
        dependence = Dependence.of(
                variation.correlations() ? network.plan().correlations() : List.of(),
                network::identity,
                this::independentStream);
        durations = new UncertainInput[network.size()];
        for (int i = 0; i < durations.length; i++) {
            durations[i] = varied(i);
        }
        amounts = new HashMap<>();
        lines().forEach(item -> amounts.put(item.id(), varied(item)));
        rates = rates();
        risks = RiskCompiler.compile(parts.drafts(), variation, parts.planned());
        costs = money();
    }

    /** Another variation of a plan that draws its estimates alike: what is as it was is shared. */
    private CompiledPlan(Parts parts, CompiledPlan like) {
        this.parts = parts;
        Network network = parts.network();
        Variation variation = parts.variation();
        Set<String> unlike = variation.estimatesUnlike(like.variation());
        dependence = like.dependence;
        durations = unlike.isEmpty() ? like.durations : like.durations.clone();
        amounts = unlike.isEmpty() ? like.amounts : new HashMap<>(like.amounts);
        unlike.stream().filter(network::isActivity).mapToInt(network::position).forEach(i -> durations[i] = varied(i));
        lines().filter(item -> unlike.contains(item.id())).forEach(item -> amounts.put(item.id(), varied(item)));
        boolean samePrices = unlike.stream().noneMatch(parts.rates()::containsKey);
        rates = samePrices ? like.rates : rates();
        boolean sameRisks =
                network.plan().risks().stream().allMatch(risk -> variation.treatsLike(like.variation(), risk.id()));
        boolean sameMoney = sameRisks && samePrices && unlike.stream().noneMatch(amounts::containsKey);
        risks = sameRisks ? like.risks : RiskCompiler.compile(parts.drafts(), variation, parts.planned());
        costs = sameMoney ? like.costs : money();
    }

    private CostModel money() {
        return CostCompiler.compile(
                network(), parts.money(), parts.variation(), amounts, List.copyOf(rates.values()), risks);
    }

    /** The cost lines among the money, as planned. */
    private Stream<CostItem> lines() {
        return parts.money().items().stream().filter(item -> parts.amounts().containsKey(item.id()));
    }

    /** In the order of {@link CostCompiler#rates}. */
    private Map<String, UncertainInput> rates() {
        Map<String, UncertainInput> varied = new LinkedHashMap<>();
        parts.rates()
                .forEach((category, rate) -> varied.put(
                        category,
                        varied(
                                rate,
                                Input.Kind.PRICE,
                                category,
                                rate.table().distribution().mean())));
        return varied;
    }

    /**
     * Compiles a plan with all its uncertainty, without responses.
     *
     * @throws app.tychon.core.model.InvalidPlanException with every problem of the plan
     */
    public static CompiledPlan of(Plan plan) {
        Network network = Network.of(plan);
        return of(network, Scheduler.schedule(network));
    }

    /** The same of a plan whose network and dates are known. */
    public static CompiledPlan of(Network network, Schedule schedule) {
        return of(network, schedule, new ShapeTables());
    }

    /** The same of the next version of this plan: what shapes are made of is shared as far as they are the same. */
    public CompiledPlan next(Network network, Schedule schedule) {
        return of(network, schedule, parts.tables().fewerThan(4 * network.size()));
    }

    private static CompiledPlan of(Network network, Schedule schedule, ShapeTables tables) {
        ForwardPass pass = new ForwardPass(network);
        Estimates estimates = Estimates.of(network.plan());
        UncertainInput[] durations = new UncertainInput[network.size()];
        // Tables of inverses cost the most of compiling, and no row's depends on another's.
        IntStream.range(0, durations.length)
                .parallel()
                .forEach(i -> durations[i] = duration(network, i, estimates.of(network.activity(i)), tables));
        PlannedSpans planned = new PlannedSpans(network, pass);
        CostItems.Made money = CostItems.of(network, planned);
        return new CompiledPlan(new Parts(
                network,
                pass,
                schedule,
                planned,
                tables,
                new RiskDrafts(network, tables),
                durations,
                money,
                CostCompiler.amounts(network, money.items(), tables),
                CostCompiler.rates(network, tables),
                Variation.CURRENT,
                CriticalTrace.PROJECT));
    }

    /** The same plan in another variation. */
    public CompiledPlan with(Variation variation) {
        Parts other = parts.with(variation, parts.target());
        return variation.drawsLike(variation()) ? new CompiledPlan(other, this) : new CompiledPlan(other);
    }

    /**
     * The same plan, of which a milestone or activity counts as the end instead of the project's finish: activities are
     * critical, and paths drive, towards it, and a run's finish and duration are its.
     *
     * @throws IllegalArgumentException where there is no such activity, or it is a hammock
     */
    public CompiledPlan towards(String id) {
        boolean exists = network().plan().activities().stream().anyMatch(a -> a.id().equals(id) && !a.isHammock());
        if (!exists) {
            throw new IllegalArgumentException("there is no milestone or activity \"" + id + "\" to aim at");
        }
        return new CompiledPlan(parts.with(parts.variation(), network().position(id)), this);
    }

    /** What of an activity is still to be worked. Where work is under way, the estimate is scaled to what remains. */
    private static UncertainInput duration(
            Network network, int position, Optional<Estimate> estimate, ShapeTables tables) {
        Activity activity = network.activity(position);
        Work work = network.work(position);
        double planned = network.planned(position);
        double share = planned > 0 ? work.remaining() / planned : 1;
        boolean isOver = work.isFinished() || work.isUnderWay() && (work.remaining() == 0 || planned == 0);
        return estimate.filter(e -> !isOver)
                .filter(e -> e.basis() != Basis.FACTOR || planned > 0)
                .map(e -> new UncertainInput(
                        RandomStream.of(RandomStream.Role.DURATION, network.identity(activity.id())),
                        tables.notBelowZero(e.shape()),
                        activity.minutesEach(e.basis(), network.calendar(position)) * share))
                .orElseGet(() -> UncertainInput.certain(work.remaining()));
    }

    private UncertainInput varied(int position) {
        String id = network().activity(position).id();
        UncertainInput input = varied(
                parts.durations()[position],
                Input.Kind.ESTIMATE,
                id,
                network().work(position).remaining());
        Shortening shortening = variation().shortened().get(id);
        return shortening == null ? input : input.shortened(shortening.factor(), shortening.minutes());
    }

    private UncertainInput varied(CostItem line) {
        return varied(parts.amounts().get(line.id()), Input.Kind.COST, line.id(), line.amount());
    }

    private UncertainInput varied(UncertainInput input, Input.Kind kind, String id, double planned) {
        if (input.isCertain()) {
            return variation().estimates() ? input : UncertainInput.certain(planned);
        }
        if (!variation().estimates() || variation().holds(kind, id)) {
            return UncertainInput.certain(planned);
        }
        return kind == Input.Kind.PRICE ? input : input.drawnFrom(dependence.of(id, (RandomStream) input.chances()));
    }

    /** The stream of an estimate of the plan, where it is uncertain. */
    private Optional<RandomStream> independentStream(String member) {
        UncertainInput input = parts.amounts().get(member);
        if (input == null) {
            input = parts.durations()[parts.network().position(member)];
        }
        return input.isCertain() ? Optional.empty() : Optional.of((RandomStream) input.chances());
    }

    public Network network() {
        return parts.network();
    }

    /** The plan without uncertainty. */
    public Schedule schedule() {
        return parts.schedule();
    }

    /** Planned cost of all lines and resources. */
    public double plannedCost() {
        return costs.planned();
    }

    /** The correlations that take part in this variation. */
    public List<Correlation> correlations() {
        return parts.variation().correlations() ? network().plan().correlations() : List.of();
    }

    /** The rank correlations realised for one of {@link #correlations}: as asked, or the nearest that are possible. */
    public double[][] usedCorrelation(String id) {
        return dependence.used(id);
    }

    public Variation variation() {
        return parts.variation();
    }

    /** What criticality is towards: a position, or {@link CriticalTrace#PROJECT}. */
    public int target() {
        return parts.target();
    }

    public ForwardPass pass() {
        return parts.pass();
    }

    public UncertainInput duration(int position) {
        return durations[position];
    }

    public UncertainInput amount(String line) {
        return amounts.get(line);
    }

    /** By how much prices of a category rise a year; the plan says so of that very category. */
    public UncertainInput rate(String category) {
        return rates.get(category);
    }

    public RiskModel risks() {
        return risks;
    }

    public CostModel costs() {
        return costs;
    }
}
