@include('widget::turn', ['of' => 'one-at-a-time', 'controls' => ['arrows', 'numbers'], 'seconds' => $layout->autoplay, 'step' => 'page', 'chance' => $layout->byChance])
