<?php

declare(strict_types=1);

// Draws the observatory's pictures: php demo/pictures.php FOLDER. Night skies over a hill with a dome, no two alike.

$folder = $argv[1] ?? exit("Name a folder.\n");
$skies = [
    ['#0b1026', '#26315c', 'dome'],
    ['#10182f', '#3b2f55', 'moon'],
    ['#081a24', '#1f4a50', 'aurora'],
    ['#0d1330', '#2c3d70', 'trail'],
    ['#141024', '#4a3350', 'mast'],
];

foreach ($skies as $number => [$top, $low, $subject]) {
    $chance = new Random\Randomizer(new Random\Engine\Mt19937(700 + $number));
    $stars = '';
    for ($index = 0; $index < 130; $index++) {
        $stars .= sprintf(
            '<circle cx="%d" cy="%d" r="%.1f" opacity="%.2f"/>',
            $chance->getInt(0, 640),
            $chance->getInt(0, 300),
            $chance->getInt(4, 15) / 10,
            $chance->getInt(30, 100) / 100,
        );
    }
    $extra = match ($subject) {
        'moon' => '<circle cx="470" cy="110" r="44" fill="#f3ead0"/><circle cx="454" cy="98" r="9" fill="#d9cfb2"/><circle cx="484" '
            .'cy="124" r="13" fill="#d9cfb2"/>',
        'aurora' => '<path d="M0 180Q120 60 220 150T420 110T640 160V60Q520 20 420 60T210 80T0 90z" fill="#5fd0a5" '
            .'opacity=".28"/><path d="M60 190Q190 90 300 160T640 120V90Q480 60 330 110T60 130z" fill="#8fe3c0" opacity=".22"/>',
        'trail' => implode(
            '',
            array_map(
                fn (int $r): string => "<circle cx=\"320\" cy=\"260\" r=\"$r\" fill=\"none\" stroke=\"#cfd8ff\" stroke-opacity=\".22\"/>",
                range(20, 400, 22),
            ),
        ),
        default => '<path d="M80 40l150 46" stroke="#fff" stroke-opacity=".7" stroke-width="1.5"/>',
    };
    $building = $subject === 'mast'
        ? '<path d="M470 330V190M455 330l15-140 15 140M460 250h20M457 290h26" stroke="#0a0d18" stroke-width="4" fill="none"/>'
        : '<path d="M420 330v-52h120v52z" fill="#0a0d18"/><path d="M420 278a60 60 0 0 1 120 0z" fill="#161c30"/><path d="M474 278a60 '
            .'60 0 0 1 14-59l14 2a66 66 0 0 0-12 57z" fill="#f4d58a" opacity=".75"/>';
    file_put_contents("$folder/sky-$number.svg", <<<SVG
        <svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 640 400" role="img"><defs><linearGradient id="s" x2="0" y2="1"><stop stop-color="$top"/><stop offset="1" stop-color="$low"/></linearGradient></defs>
        <rect width="640" height="400" fill="url(#s)"/><g fill="#fff">$stars</g>$extra
        <path d="M0 340Q160 280 330 318T640 300V400H0z" fill="#0c111f"/>$building<path d="M0 366Q220 330 640 352V400H0z" fill="#070a13"/></svg>
        SVG);
}
