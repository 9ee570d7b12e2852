@include('widget::turn', ['controls' => ['arrows', 'numbers'], 'seconds' => $layout->autoplay, 'step' => 'page', 'chance' => $layout->byChance])
