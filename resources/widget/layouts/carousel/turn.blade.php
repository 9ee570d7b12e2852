@include('widget::turn', ['of' => 'carousel', 'controls' => $layout->controls, 'seconds' => $layout->autoplay, 'step' => $layout->byCard ? 'card' : 'page', 'chance' => false])
