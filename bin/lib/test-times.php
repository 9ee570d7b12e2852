<?php

declare(strict_types=1);

// How long each test of a report in JUnit's form took: seconds, a tab, its name.

$report = simplexml_load_file($argv[1]);
foreach ($report === false ? [] : ($report->xpath('//testcase') ?: []) as $test) {
    printf("%.1f\t%s::%s\n", (float) $test['time'], $test['class'], $test['name']);
}
