package driftwood.cli.shell;

import driftwood.cli.Command;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.cli.Option;

/** Completion for shells. */
final class Completion {
    private final List<Command> commands;
    private final List<Option> common;

    /** @param common options of every command */
    Completion(List<Command> commands, List<Option> common) {
        this.commands = commands;
        this.common = common;
    }

    /** For bash: to be sourced. */
    String bash() {
        StringBuilder text = new StringBuilder("""
                # Completion of driftwood for bash: source this file, or put it where bash-completion looks.
                # shellcheck shell=bash disable=SC2207
                _driftwood() {
                  local word=${COMP_WORDS[COMP_CWORD]} options=
                  COMPREPLY=()
                  if [ "$COMP_CWORD" -eq 1 ]; then
                    COMPREPLY=($(compgen -W "%s --help --version" -- "$word"))
                    return
                  fi
                  case ${COMP_WORDS[1]} in
                """.formatted(commands.stream().map(Command::name).collect(Collectors.joining(" "))));
        for (Command each : commands) {
            text.append("    ").append(each.name()).append(") options=\"").append(options(each)).append("\" ;;\n");
        }
        return text.append("""
                  esac
                  case $word in
                    -*) COMPREPLY=($(compgen -W "$options" -- "$word")) ;;
                    *) COMPREPLY=($(compgen -f -- "$word")) ;;
                  esac
                }
                complete -o filenames -F _driftwood driftwood
                """).toString();
    }

    private String options(Command command) {
        return all(command).map(each -> "--" + each.getLongOpt()).collect(Collectors.joining(" ")) + " --help";
    }

    private Stream<Option> all(Command command) {
        return Stream.concat(command.options().getOptions().stream(), common.stream());
    }

    /** For zsh: to be put into a folder of its fpath, as _driftwood. */
    String zsh() {
        StringBuilder text = new StringBuilder("#compdef driftwood\n# Completion of driftwood for zsh: put this file into a folder of $fpath.\n"
                + "local -a commands\ncommands=(\n");
        commands.forEach(each -> text.append("  ").append(quoted(each.name() + ":" + each.summary())).append('\n'));
        text.append(")\nif (( CURRENT == 2 )); then\n  _describe command commands\n  return\nfi\ncase $words[2] in\n");
        for (Command each : commands) {
            text.append("  ").append(each.name()).append(")\n    _arguments \\\n");
            all(each).forEach(option ->
                    text.append("      ").append(quoted("--" + option.getLongOpt() + "[" + plain(option.getDescription()) + "]"
                            + (option.hasArg() ? ":" + option.getArgName() + ":_files" : ""))).append(" \\\n"));
            text.append("      '--help[print help]' '*:operand:_files' ;;\n");
        }
        return text.append("esac\n").toString();
    }

    private static String plain(String description) {
        return description.replaceAll("[\\[\\]:]", " ").replaceAll(" +", " ");
    }

    private static String quoted(String text) {
        return "'" + text.replace("'", "'\\''") + "'";
    }
}
