/** A word of the trade or of ours, as it is explained wherever it stands, in Ctrl K, and in the guide. */
export interface Word {
  id: string;
  term: string;
  /** Other ways it is written. */
  also?: readonly string[];
  means: string;
  /** Words that belong to it, by their ids. */
  see?: readonly string[];
}

/** All words that are explained, in the order of the alphabet. The guide's list is made of this one. */
export const GLOSSARY: readonly Word[] = [
  {
    id: "a day less",
    term: "A day less",
    means:
      "What it is worth to shorten an activity: how far the chosen percentile moves when its work takes a working day, or a tenth, less in every future.",
    see: ["percentile", "removal"],
  },
  {
    id: "activity",
    term: "Activity",
    means: "A piece of work with a duration, a calendar and a place in the logic of the plan.",
    see: ["branch", "milestone", "hammock"],
  },
  {
    id: "assignment",
    term: "Assignment",
    also: ["crew"],
    means: "A resource at work on an activity, with how many units of it: crew 0.5 is half of a crew's time.",
    see: ["resource", "rate"],
  },
  {
    id: "best set",
    term: "Best set",
    means:
      "Of all responses and options that a sum pays for, those that together do most: for the finish, the cost, or the chance that target and budget are both kept.",
    see: ["response", "scenario"],
  },
  {
    id: "branch",
    term: "Branch",
    also: ["work breakdown", "WBS"],
    means:
      "A part of the work breakdown: activities and further branches lie beneath it. It spans all work beneath it.",
  },
  {
    id: "brief",
    term: "Brief",
    means:
      "A page that leaves somebody a decision: the answer, how sure it is, what makes it so, what could be done. Its sentences hold the numbers of a recorded run and follow it.",
    see: ["run", "issue"],
  },
  {
    id: "budget",
    term: "Budget",
    means: "The amount whose chance matters: what has been promised, or will be.",
    see: ["target", "chance"],
  },
  {
    id: "calendar",
    term: "Calendar",
    means:
      "When work is done: the shifts of each day of the week, and exceptions such as holidays. Every activity has one; a day of its duration is a day of its calendar.",
  },
  {
    id: "cash flow",
    term: "Cash flow",
    means:
      "Money by the week, month or quarter in which it falls due. Its percentiles are of each period by itself: the P80 of June and the P80 of July are seldom of one future.",
    see: ["funding", "instalment"],
  },
  {
    id: "chance",
    term: "Chance",
    means:
      "The share of futures in which something holds, such as finishing by a date. 80 % means: in four futures of five.",
    see: ["future", "percentile"],
  },
  {
    id: "confidence",
    term: "Level of confidence",
    means:
      "How sure promises are to be, in percent; one for each project, 80 unless it is chosen otherwise. The horizon, the runs and the sheet speak of it.",
    see: ["percentile"],
  },
  {
    id: "constraint",
    term: "Constraint",
    means: "A date that an activity is held to, whatever its predecessors say.",
  },
  {
    id: "contingency",
    term: "Contingency",
    means:
      "What has to be added to the plan so that it holds with a chosen chance: in days to the finish, in money to the cost.",
    see: ["percentile", "chance"],
  },
  {
    id: "correlation",
    term: "Correlation",
    also: ["moves together", "coefficient"],
    means:
      "How far estimates run late together, from −1 to 1, as Spearman's rank correlation. Without it good and bad luck cancel out, and the spread of the finish comes out too narrow.",
    see: ["range"],
  },
  {
    id: "cost category",
    term: "Cost category",
    also: ["cost breakdown"],
    means:
      "Where money belongs in the project's own cost breakdown; levels are parted by a slash, as in Optics/Mirror. Prices may rise by category, and cash flow is shown by it.",
    see: ["escalation"],
  },
  {
    id: "criticality",
    term: "Drives",
    also: ["criticality"],
    means:
      "The share of futures in which an activity lies on a longest path, so that its delay would have been the finish's.",
    see: ["longest path", "future"],
  },
  {
    id: "cruciality",
    term: "Cruciality",
    means:
      "The correlation of an activity's duration with when the project, or what one looks at, ends. It may be high for work that seldom drives, where the two move together.",
    see: ["criticality", "rank correlation"],
  },
  {
    id: "data date",
    term: "Data date",
    means: "Up to here progress is known. Nothing that is not done yet can happen before it.",
  },
  {
    id: "day rate",
    term: "Day rate",
    also: ["per day"],
    means:
      "What the part of a cost line that grows with time comes to a working day, as planned. Each day that the work takes longer costs so much more.",
    see: ["due anyway"],
  },
  {
    id: "drift",
    term: "Drift",
    means:
      "How the forecast moves from one recorded run to the next, though each was honest when it was made.",
    see: ["percentile"],
  },
  {
    id: "driving path",
    term: "Driving path",
    also: ["path"],
    means:
      "The chain of work that decided when a future ended, each link of which held the next one up. Every future has one, and they are counted.",
    see: ["criticality", "longest path"],
  },
  {
    id: "due anyway",
    term: "Due anyway",
    also: ["fixed share"],
    means:
      "The share of an amount that is due however long the work takes; the rest grows with its duration.",
    see: ["day rate"],
  },
  {
    id: "escalation",
    term: "Escalation",
    also: ["rising prices"],
    means:
      "By how much prices of a category rise a year from the project's start on. Later work then costs more in the same future; without an entry prices stay as they are.",
    see: ["cost category"],
  },
  {
    id: "exposure",
    term: "Exposure",
    means:
      "What risks still move, in days or money: it falls as responses are done and as the dates pass between which risks can strike.",
    see: ["risk", "response"],
  },
  {
    id: "finding",
    term: "Finding",
    also: ["plan check", "range check"],
    means:
      "A place where the plan or a range is hard to believe, with the reason. It can be mended, or accepted with a reason that stays on record.",
  },
  {
    id: "fit",
    term: "AIC, KS and AD",
    also: ["Akaike", "Kolmogorov–Smirnov", "Anderson–Darling", "goodness of fit"],
    means:
      "How well a shape fits past work. AIC weighs likelihood against the number of parameters: the lowest is the best. KS is the greatest gap between the shape and the observed values, in chance; AD weighs gaps in the tails more. Differences of AIC below 2 say little.",
    see: ["past work", "shape"],
  },
  {
    id: "free float",
    term: "Free float",
    means: "How far an activity may slip without moving any successor, in days of its calendar.",
    see: ["total float"],
  },
  {
    id: "funding",
    term: "Funding",
    means:
      "Money that becomes available from a day on; each step adds to what there is. A future breaks it where more has been spent than is available by then.",
    see: ["cash flow"],
  },
  {
    id: "future",
    term: "Future",
    also: ["iteration"],
    means:
      "One way it may turn out: every duration, cost and risk drawn once, the schedule and the money calculated from them. A simulation is thousands of them.",
    see: ["run", "live odds"],
  },
  {
    id: "give back",
    term: "Time to give back",
    also: ["padding", "too much time"],
    means:
      "Days of a planned duration that are not needed to keep it with the confidence asked for, risks included.",
    see: ["confidence", "percentile"],
  },
  {
    id: "grade",
    term: "Grade",
    means:
      "A named spread, such as Firm or Open, in percent of the planned value. A row without a grade of its own has that of the branch above.",
    see: ["range"],
  },
  {
    id: "hammock",
    term: "Hammock",
    means: "An activity without work of its own that lasts from its first predecessor to its last successor.",
  },
  {
    id: "hire",
    term: "Hire",
    means:
      "Something that is paid for as long as it stands, such as a crane: a hammock from a first to a last row, and a cost line of which a part is due anyway and the rest for each working day.",
    see: ["hammock", "day rate"],
  },
  {
    id: "horizon",
    term: "Horizon",
    means:
      "The strip at the foot of every stage: finish and cost by the live odds, with the plan, the target and what was pinned. It follows every edit.",
    see: ["live odds", "pin"],
  },
  {
    id: "hypercube",
    term: "Latin hypercube",
    also: ["sampling"],
    means:
      "A way of drawing that takes every five-hundredth of a range once in 500 futures, so that percentiles settle with fewer futures than by plain drawing. Both come to the same.",
    see: ["future", "seed"],
  },
  {
    id: "instalment",
    term: "Instalment",
    also: ["payment"],
    means:
      "A share of a cost line that falls due at once: on a day, or when a row begins or ends, in every future by its own dates.",
    see: ["cash flow"],
  },
  {
    id: "issue",
    term: "Issue",
    also: ["issued brief"],
    means:
      "A brief as it was read on a day, kept for good with the run it rests on. It is read by links that can be withdrawn.",
    see: ["brief", "run"],
  },
  {
    id: "lag",
    term: "Lag",
    also: ["lead"],
    means: "Time that passes between an activity and its successor; below zero it is a lead.",
    see: ["predecessor"],
  },
  {
    id: "likely",
    term: "Likely",
    also: ["most likely", "mode"],
    means: "The value of a range that is most likely: where its density is highest.",
    see: ["range"],
  },
  {
    id: "live odds",
    term: "Live odds",
    means:
      "The odds of the plan as it is now, simulated anew after every edit: with 1,000 futures at once, then with 5,000.",
    see: ["run", "horizon"],
  },
  {
    id: "longest path",
    term: "Longest path",
    also: ["critical path"],
    means:
      "The chain of activities that decides the finish: whatever delays one of them delays the project. In the plan there is one; in each future it may be another.",
    see: ["total float", "criticality"],
  },
  {
    id: "low",
    term: "Low and high",
    means:
      "The ends of a range. In a triangular, PERT or uniform range they are limits; in others they bound what is drawn, from P1 to P99.",
    see: ["range", "likely"],
  },
  {
    id: "mean",
    term: "Mean",
    means: "The average over all futures, or of a range. Means of activities add up; percentiles do not.",
    see: ["sd", "percentile"],
  },
  {
    id: "merge bias",
    term: "Merge bias",
    also: ["paths that meet"],
    means:
      "Where several paths meet, the latest of them counts, so the meeting is later on average than any one of them, and a plan that follows its longest path alone is too early.",
    see: ["driving path"],
  },
  {
    id: "milestone",
    term: "Milestone",
    means: "An event without duration that others wait for, or that has been promised.",
  },
  {
    id: "mist",
    term: "Mist",
    means:
      "When simulated work of a row is under way: the denser, the more futures are at it. Beside it the thin rail is the plan.",
    see: ["future"],
  },
  {
    id: "nearly critical",
    term: "Nearly critical",
    means:
      "The share of futures in which an activity's float is within so many days: a little more, and it would drive.",
    see: ["criticality", "total float"],
  },
  {
    id: "past work",
    term: "Past work",
    also: ["evidence"],
    means:
      "What similar work was planned at and really took. Shapes are fitted to it and ranked; the range then has it as its reason.",
    see: ["range", "grade"],
  },
  {
    id: "percentile",
    term: "P50, P80 …",
    also: ["percentile", "P10", "P90"],
    means:
      "The value that is kept in so many of a hundred futures. P80 12 May: in 80 of 100 futures it is finished by 12 May.",
    see: ["chance", "confidence"],
  },
  {
    id: "pin",
    term: "Pin",
    means: "Odds held as the reference, so that what an edit does is told against them.",
    see: ["horizon"],
  },
  {
    id: "planned cost",
    term: "Planned cost",
    means:
      "What something costs without uncertainty, at the durations, dates and prices to be expected now; what is spent is in it.",
    see: ["spent", "to go"],
  },
  {
    id: "predecessor",
    term: "Predecessor",
    also: ["link", "FS", "SS", "FF", "SF"],
    means:
      "What an activity waits for. A20 means its finish; A20SS its start, FF and SF that finish waits for finish or start. +3d adds a lag.",
    see: ["lag"],
  },
  {
    id: "range",
    term: "Range",
    also: ["estimate", "distribution", "three points"],
    means:
      "How uncertain a duration or an amount is: a shape with its points, or a grade. A row without one takes just what is planned.",
    see: ["grade", "shape", "likely"],
  },
  {
    id: "rank correlation",
    term: "Rank correlation",
    also: ["Spearman"],
    means:
      "Whether more of one quantity goes with more of another, from −1 to +1, by their ranks: it does not mind curves, and says nothing of what makes what.",
    see: ["correlation", "slope"],
  },
  {
    id: "rank range",
    term: "Rank",
    also: ["ranks that chance could swap"],
    means:
      "Where an input stands by its swing. Where the difference to others is within their errors, chance alone could swap them, and the ranks it may have are told as from–to.",
    see: ["swing"],
  },
  {
    id: "rate",
    term: "Rate",
    means: "What a resource costs an hour, a day or a unit; another may hold from a day on.",
    see: ["resource"],
  },
  {
    id: "removal",
    term: "Removal",
    also: ["held at plan"],
    means:
      "How far a percentile moves when one estimate is held at its planned value, or one risk does not strike, all else drawn the same.",
    see: ["percentile", "swing"],
  },
  {
    id: "resource",
    term: "Resource",
    means:
      "People, plant or material with a price. Cost follows the working time that an activity really takes; where there is a limit, Costs says how often more is needed at once.",
    see: ["assignment", "rate"],
  },
  {
    id: "response",
    term: "Response",
    means:
      "What is done about a risk: actions that cost money and take days, and what chance and effects they leave. Once it is decided, the plan has the risk as it is after it.",
    see: ["risk", "exposure"],
  },
  {
    id: "risk",
    term: "Risk",
    also: ["threat", "opportunity"],
    means:
      "An event that may or may not come, with its chance and what it does to time and money: a threat where that is bad, an opportunity where it is good.",
    see: ["response", "scheme", "exposure"],
  },
  {
    id: "run",
    term: "Run",
    also: ["recorded run"],
    means:
      "A simulation on record, with a copy of its inputs, its settings and its seed, so that it opens years later and can be repeated to the last digit.",
    see: ["live odds", "seed"],
  },
  {
    id: "scenario",
    term: "Scenario",
    also: ["what if"],
    means:
      "The plan as it would be otherwise: with switches and edits of its own. What it says nothing of follows the plan, and it shares the plan's random numbers, so that a difference is no noise.",
    see: ["best set", "response"],
  },
  {
    id: "scheme",
    term: "Scoring scheme",
    also: ["score", "matrix"],
    means:
      "The levels by which a project calls chances and effects small or great, and which of them are tolerated. A score is a place in its grid.",
    see: ["risk"],
  },
  {
    id: "sd",
    term: "Standard deviation",
    also: ["sd", "±"],
    means: "How far values lie around their mean, in the same unit.",
    see: ["mean"],
  },
  {
    id: "seed",
    term: "Seed",
    means:
      "The number that all random draws come from. The same inputs with the same seed give the same numbers.",
    see: ["run"],
  },
  {
    id: "sensitivity index",
    term: "Schedule sensitivity index",
    also: ["SSI"],
    means:
      "Criticality times the standard deviation of an activity's duration, over that of when the project ends: high for work that both drives and varies.",
    see: ["criticality", "sd"],
  },
  {
    id: "shape",
    term: "Shape",
    also: ["triangular", "PERT", "lognormal", "uniform"],
    means: "How chance is spread over a range: which values are more likely than others.",
    see: ["range"],
  },
  {
    id: "share of variance",
    term: "Share of variance",
    also: ["contribution"],
    means:
      "The part of a quantity's variance that goes with one input, by a straight line through all inputs. The shares and what is left unexplained add up to one.",
    see: ["slope", "sd"],
  },
  {
    id: "skewness",
    term: "Skewness and kurtosis",
    means:
      "Skewness: whether the long tail lies on the late side (above zero) or on the early one. Kurtosis: how heavy the tails are beside those of a normal distribution, which has 0.",
    see: ["sd"],
  },
  {
    id: "slope",
    term: "Slope",
    also: ["coefficient", "regression"],
    means:
      "By how much a date or a cost moves when an input moves by one of its units (a day, a strike, an amount) and all others stay. In standard deviations of both it is the standardised coefficient.",
    see: ["share of variance"],
  },
  {
    id: "spent",
    term: "Spent",
    also: ["actual cost"],
    means:
      "What has been paid of a cost line up to the data date. It is certain; what is still to go is simulated.",
    see: ["to go", "data date"],
  },
  {
    id: "staircase",
    term: "Staircase",
    also: ["from plan to P80"],
    means:
      "From the plan to a percentile, one cause after the other with the same random numbers, so that the steps add up exactly.",
    see: ["percentile", "removal"],
  },
  {
    id: "steady",
    term: "Until steady",
    also: ["tolerance", "convergence"],
    means:
      "A run ends by itself once the mean and the percentile that matters are known to a share of the standard deviation, with a certainty of 95 % unless it is chosen otherwise.",
    see: ["run", "mean", "sd"],
  },
  {
    id: "swing",
    term: "Swing",
    also: ["tornado"],
    means:
      "Where a date or a cost lies on average when an input is in its lowest tenth of futures and in its highest. A list of swings, the widest first, is a tornado.",
    see: ["rank range"],
  },
  {
    id: "target",
    term: "Target",
    means: "The date whose chance matters: what has been promised, or will be.",
    see: ["budget", "chance"],
  },
  {
    id: "to go",
    term: "To go",
    also: ["cost to go"],
    means:
      "What is still to be paid of a cost line as planned now. Unless it is said, it is what of the planned amount is not spent; it grows with what remains of the work.",
    see: ["spent"],
  },
  {
    id: "total float",
    term: "Float",
    also: ["total float", "slack"],
    means:
      "How far an activity may slip without moving the finish of the project, in days of its calendar. Below zero a date is missed by so much.",
    see: ["free float", "longest path"],
  },
  {
    id: "track record",
    term: "Track record",
    means:
      "Where what really happened fell in the ranges given for it. If ranges are right, a fifth lies below P20 and a fifth beyond P80.",
    see: ["percentile", "grade"],
  },
  {
    id: "watched",
    term: "Watched",
    means:
      "An activity or milestone of which runs keep every value, and for which they wait to be steady, beside finish and cost of the project.",
    see: ["steady", "run"],
  },
];
