package bucina.desk.cli;

import picocli.CommandLine.Command;

/** Sums that need no build. */
@Command(
        name = "calc",
        description = "Sums that need no build.",
        mixinStandardHelpOptions = true,
        synopsisSubcommandLabel = "VERB",
        subcommands = {
            CalcRivetCommand.class,
            CalcBlindCommand.class,
            CalcEdgeCommand.class,
            CalcRowCommand.class,
            CalcTrimCommand.class,
            CalcBendCommand.class,
            CalcFlatCommand.class,
            CalcRadiusCommand.class,
            CalcFluteCommand.class,
            CalcBoltCommand.class,
            CalcNestCommand.class,
            CalcDressCommand.class,
            CalcCutCommand.class,
            CalcClecoCommand.class,
            CalcNutplateCommand.class,
            CalcSwingCommand.class,
            CalcMisfitCommand.class,
            CalcJudgeCommand.class,
            CalcDrilloutCommand.class,
            CalcSampleCommand.class,
            CalcSpareCommand.class
        })
final class CalcCommand {}
