package driftwood.refactor.python;

import java.util.Set;

/** Names that every module knows (Python Library Reference, Built-in Functions, Constants and Exceptions). */
final class BuiltIn {
    private static final Set<String> NAMES = Set.of("__name__", "__file__", "__doc__", "__debug__", "__import__", "__build_class__", "NotImplemented", "Ellipsis",
            "abs", "aiter", "all", "anext", "any", "ascii", "bin", "bool", "breakpoint", "bytearray", "bytes", "callable", "chr", "classmethod", "compile",
            "complex", "delattr", "dict", "dir", "divmod", "enumerate", "eval", "exec", "exit", "filter", "float", "format", "frozenset", "getattr", "globals",
            "hasattr", "hash", "help", "hex", "id", "input", "int", "isinstance", "issubclass", "iter", "len", "list", "locals", "map", "max", "memoryview",
            "min", "next", "object", "oct", "open", "ord", "pow", "print", "property", "quit", "range", "repr", "reversed", "round", "set", "setattr", "slice",
            "sorted", "staticmethod", "str", "sum", "super", "tuple", "type", "vars", "zip", "__class__", "ArithmeticError", "AssertionError", "AttributeError",
            "BaseException", "BlockingIOError", "BrokenPipeError", "BufferError", "ChildProcessError", "ConnectionError", "DeprecationWarning", "EOFError",
            "EnvironmentError", "Exception", "FileExistsError", "FileNotFoundError", "FloatingPointError", "FutureWarning", "GeneratorExit", "IOError",
            "ImportError", "IndentationError", "IndexError", "InterruptedError", "IsADirectoryError", "KeyError", "KeyboardInterrupt", "LookupError",
            "MemoryError", "ModuleNotFoundError", "NameError", "NotADirectoryError", "NotImplementedError", "OSError", "OverflowError",
            "PendingDeprecationWarning", "PermissionError", "ProcessLookupError", "RecursionError", "ReferenceError", "ResourceWarning", "RuntimeError",
            "RuntimeWarning", "StopAsyncIteration", "StopIteration", "SyntaxError", "SyntaxWarning", "SystemError", "SystemExit", "TabError", "TimeoutError",
            "TypeError", "UnboundLocalError", "UnicodeDecodeError", "UnicodeEncodeError", "UnicodeError", "UserWarning", "ValueError", "Warning",
            "ZeroDivisionError");

    private BuiltIn() {
    }

    static Set<String> names() {
        return NAMES;
    }
}
